<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

/** Runs ngspice (Debian), a general-purpose simulator, on cards; what it says of each node. */
final class Ngspice
{
    /**
     * @param string $cards without analyses
     * @return array{array<string, array{float, float}>, array<string, float>} AC phasors and DC volts by node, in
     *     lower case
     */
    public static function acAndOp(string $cards, float $hertz): array
    {
        $out = self::run(
            "* from a test\n.options gmin=1e-20 pivrel=1e-9\n$cards.control\nset numdgt=15\nset noaskquit\nac lin 1 $hertz $hertz\nprint all\necho ---op---\nop\nprint all\nquit\n.endc\n.end\n",
        );
        [$ac, $op] = explode('---op---', $out) + [1 => ''];
        $phasors = [];
        preg_match_all('/^(\S+) = (\S+),(\S+)$/m', $ac, $rows, PREG_SET_ORDER);
        foreach ($rows as [, $node, $re, $im]) {
            $phasors[$node] = [(float) $re, (float) $im];
        }
        $volts = [];
        preg_match_all('/^(\S+) = (\S+)$/m', $op, $rows, PREG_SET_ORDER);
        foreach ($rows as [, $node, $v]) {
            $volts[$node] = (float) $v;
        }
        if ($phasors === [] || $volts === []) {
            throw new \RuntimeException("ngspice gave nothing: $out");
        }

        return [$phasors, $volts];
    }

    /**
     * A control script's printed figures: lines "name = value".
     *
     * @return array<string, float>
     */
    public static function figures(string $deck): array
    {
        preg_match_all('/^(\w+)\s*=\s*(\S+)/m', $out = self::run($deck), $rows, PREG_SET_ORDER);
        if ($rows === []) {
            throw new \RuntimeException("ngspice gave nothing: $out");
        }

        return array_map(floatval(...), array_column($rows, 2, 1));
    }

    public static function run(string $deck): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'net');
        file_put_contents($file, $deck);
        $out = (string) shell_exec('ngspice -b '.escapeshellarg($file).' 2>&1');
        unlink($file);

        return $out;
    }
}
