<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use PHPUnit\Framework\TestCase;

/** Random ladders of resistors and capacitors against ngspice, a general-purpose reference. */
final class NgspiceTest extends TestCase
{
    public function test_random_networks_agree_with_ngspice(): void
    {
        mt_srand(20);
        for ($trial = 0; $trial < 4; $trial++) {
            $nodes = 12;
            $branches = [];
            $cards = "* random network $trial\n";
            $values = [];
            for ($i = 1; $i < $nodes; $i++) {
                $branches[] = [$i, mt_rand(0, $i - 1)];
                $branches[] = [$i, mt_rand(0, $nodes - 1)];
            }
            $v = new Values(count($branches));
            $n = new Network(Topology::of($nodes, $branches), 60.0);
            foreach ($branches as $b => [$p, $q]) {
                if ($p === $q) {
                    continue;
                }
                if ($b % 5 === 4) {
                    $farad = mt_rand(1, 1000) * 1e-8;
                    $v->capacitor($b, $n->omega() * $farad, 1e-9);
                    $cards .= sprintf("C%d n%d n%d %.12g\nRL%d n%d n%d 1e9\n", $b, $p, $q, $farad, $b, $p, $q);
                } else {
                    $ohm = 10 ** (mt_rand(0, 60) / 10);
                    $v->resistor($b, 1 / $ohm);
                    $cards .= sprintf("R%d n%d n%d %.12g\n", $b, $p, $q, $ohm);
                }
            }
            $v->acSources = [3 => [1.0, 0.0], 7 => [0.3, -0.4]];
            $cards .=
                "I3 0 n3 ac 1 0\nI7 0 n7 ac 0.5 ".
                rad2deg(atan2(-0.4, 0.3)).
                "\n.control\nset numdgt=14\nac lin 1 60 60\n";
            for ($i = 1; $i < $nodes; $i++) {
                $cards .= "print vr(n$i) vi(n$i)\n";
            }
            $file = (string) tempnam(sys_get_temp_dir(), 'net');
            file_put_contents($file, str_replace(' n0 ', ' 0 ', $cards)."quit\n.endc\n.end\n");
            $out = (string) shell_exec("ngspice -b $file 2>/dev/null");
            unlink($file);
            preg_match_all('/^v[ri]\(n\d+\) = (\S+)/m', $out, $rows);
            $figures = array_map(floatval(...), $rows[1]);
            self::assertCount(2 * ($nodes - 1), $figures, "ngspice said: $out");
            $s = Solution::of($n, $v);
            for ($i = 1; $i < $nodes; $i++) {
                [$re, $im] = $s->acPhasor($i, 0);
                $size = max(1e-6, hypot($re, $im));
                self::assertEqualsWithDelta($figures[2 * $i - 2], $re, 2e-6 * $size, "node $i of network $trial");
                self::assertEqualsWithDelta($figures[2 * $i - 1], $im, 2e-6 * $size, "node $i of network $trial");
            }
        }
    }
}
