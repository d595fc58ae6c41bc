<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Appliance\Compiler;
use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/**
 * Circuits written twice by hand from their drawing: once for the core, once as a deck for ngspice,
 * which does not come from the exporter. Nonlinear ones are run there as transients.
 */
final class HandDrawnTest extends TestCase
{
    public function test_a_transformer_under_load(): void
    {
        // ngspice: mutual inductors; the core: ideal ratio behind copper and leakage. 120:26.67 V, 9 Ω, 0.6 Ω
        // k chosen so that leakage at the secondary is ω L2 (1 − k²); magnetising 1500 Ω at the primary
        $omega = 2 * M_PI * 60;
        $l1 = 1500 / $omega;
        $n = 4.5;
        $leak = 0.3; // Ω at the secondary
        $k = sqrt(1 - $leak * $n * $n / 1500);
        $l2 = $l1 / ($n * $n);
        foreach ([60.0, 20.0, 8.0] as $load) {
            $deck =
                "* transformer\nV1 in 0 ac 120\nR1 in p 9\nL1 p 0 $l1\nL2 s 0 $l2\nK1 L1 L2 $k\nR2 s out 0.6\nRL out 0 $load\n".
                ".control\nset numdgt=12\nac lin 1 60 60\nlet v = mag(v(out))\nprint v\nquit\n.endc\n.end\n";
            $their = Ngspice::figures($deck)['v'];
            $net = new Network(Topology::of(3, [[1, 0], [2, 0], [1, 0]]), 60.0, [[1, 0, 2, 0]]);
            $v = new Values(3);
            $v->resistor(0, 1e6);
            $v->resistor(1, 1 / $load);
            $v->impedance(2, 9.0, 1500.0);
            $r = 9 + $n * $n * 0.6;
            $x = $n * $n * $leak;
            $d = $r * $r + $x * $x;
            $v->windings = [[$r / $d, -$x / $d, $n]];
            $v->acSources = [1 => [120e6, 0.0]];
            self::assertEqualsWithDelta(
                $their,
                Solution::of($net, $v)->acVolts(2, 0),
                0.005 * $their,
                "load of $load Ω",
            );
        }
    }

    public function test_split_phase_with_a_shared_neutral_and_with_it_lost(): void
    {
        foreach ([0.05, 1e6] as $neutral) {
            $deck =
                "* split phase\nV1 a 0 ac 120\nV2 0 b ac 120\nRa a al 0.08\nRb b bl 0.08\nRn 0 n $neutral\nR1 al n 12\nR2 bl n 40\n".
                ".control\nset numdgt=12\nac lin 1 60 60\nlet va = mag(v(al)-v(n))\nlet vb = mag(v(bl)-v(n))\nprint va\nprint vb\nquit\n.endc\n.end\n";
            $their = Ngspice::figures($deck);
            // legs as sources behind their wires: nodes 1 and 2, neutral 3
            $net = new Network(Topology::of(4, [[1, 0], [2, 0], [3, 0], [1, 3], [2, 3]]), 60.0);
            $v = new Values(5);
            foreach ([1 / 0.08, 1 / 0.08, 1 / $neutral, 1 / 12, 1 / 40] as $b => $g) {
                $v->resistor($b, $g);
            }
            $v->acSources = [1 => [120 / 0.08, 0.0], 2 => [-120 / 0.08, 0.0]];
            $s = Solution::of($net, $v);
            self::assertEqualsWithDelta($their['va'], $s->acVolts(1, 3), 1e-6);
            self::assertEqualsWithDelta($their['vb'], $s->acVolts(2, 3), 1e-6);
        }
        self::assertGreaterThan(180, $s->acVolts(2, 3), 'with the neutral lost the light load gets most of 240 V');
    }

    public function test_a_thermocouple_loop(): void
    {
        // 30 mV behind 0.020 Ω, 0.004 Ω of lead and joint, a magnet coil of 0.022 Ω: about half is left on the coil
        $their = Ngspice::figures(
            "* thermocouple\nV1 e 0 0.030\nRi e t 0.020\nRl t c 0.004\nRc c 0 0.022\n.control\nset numdgt=12\nop\nlet v = v(c)\nprint v\nquit\n.endc\n.end\n",
        )['v'];
        $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0);
        $v = new Values(3);
        foreach ([1 / 0.020, 1 / 0.004, 1 / 0.022] as $b => $g) {
            $v->resistor($b, $g);
        }
        $v->dcSources = [1 => 0.030 / 0.020];
        $s = Solution::of($net, $v);
        self::assertEqualsWithDelta($their, $s->dcVolts(2, 0), 1e-9);
        self::assertEqualsWithDelta(0.015, $s->dcVolts(2, 0), 0.001);
        self::assertSame(0.0, $s->acVolts(2, 0));
    }

    public function test_ghost_volts_in_a_cable(): void
    {
        // 40 ft at 25 pF a foot: the open conductor lies beside common, R two away; a meter of 10 MΩ on it
        foreach (['10meg' => 1e-7, '3k' => 1 / 3e3] as $word => $meter) {
            $their = Ngspice::figures(
                "* ghost\nV1 r 0 ac 27\nC1 r w 0.4n\nC2 w 0 1n\nC3 w 0 1n\nC4 w 0 0.4n\nR1 r w 200meg\nR2 w 0 66.667meg\nRm w 0 $word\n.control\nset numdgt=12\nac lin 1 60 60\nlet v = mag(v(w))\nprint v\nquit\n.endc\n.end\n",
            )['v'];
            $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0);
            $v = new Values(3);
            $v->resistor(0, 1e6);
            $v->capacitor(1, $net->omega() * 0.4e-9, 1 / 200e6);
            $v->capacitor(2, $net->omega() * 2.4e-9, 3 / 200e6);
            $v->acSources = [1 => [27e6, 0.0]];
            self::assertEqualsWithDelta($their, Solution::of($net, $v)->with(2, 0, $meter)->acVolts(2, 0), 1e-5);
        }
        self::assertLessThan(0.05, $their, 'a low impedance makes the ghost collapse');
    }

    public function test_the_furnaces_safety_string_from_its_drawing(): void
    {
        // 24 V side, trial for ignition: 121 V through the transformer, fuse, limit, rollouts, pressure switch, valve.
        // Every wire and contact below is from the drawing, by its length: 18 AWG copper, 25 °C.
        $wire = fn (float $feet) => 7.77 * (1 - 0.00323 * 50) / 1000 * $feet + 0.004;
        $l1 = 2 * 1500 / (2 * M_PI * 60);
        $l2 = $l1 / 4.4 ** 2;
        $r = fn (string $name, string $a, string $b, float $ohm) => sprintf("R%s %s %s %.9g\n", $name, $a, $b, $ohm);
        $deck =
            "* furnace, 24 V string\nV1 l 0 ac 121\n".
            $r('s', 'l', 'p0', 0.4 + 9).
            sprintf("Lm p0 0 %.9g\nEw pw 0 x1i x2 4.4\nVs p0 pw 0\nFw x2 x1i Vs 4.4\n", $l1).
            $r('sec', 'x1i', 'x1l', 0.7).
            sprintf("Lk x1l x1 %.9g\n", 0.25 / (2 * M_PI * 60)).
            sprintf("Lm2 x1i x2 %.9g\n", $l2).
            $r('loss', 'x1', 'x2', 400).
            $r('w13', 'x1', 'sec1', $wire(2)).
            $r('w14', 'x2', 'c', $wire(2)).
            $r('bond', 'c', '0', 0.02).
            $r('fuse', 'sec1', 'rail', 0.02).
            $r('logic', 'rail', 'c', 300).
            $r('w15', 'rail', 'tr', $wire(40)).
            $r('w16', 'c', 'tc', $wire(40)).
            $r('feed', 'tr', 'tc', 1200).
            $r('heat', 'tr', 'tw', 0.05).
            $r('w17', 'tw', 'w', $wire(40)).
            $r('win', 'w', 'c', 2200).
            $r('w20', 'rail', 'la', $wire(4)).
            $r('lim', 'la', 'lb', 0.015).
            $r('w21', 'lb', 'li', $wire(4)).
            $r('lin', 'li', 'c', 3300).
            $r('w22', 'li', 'ra', $wire(3)).
            $r('r1', 'ra', 'rb', 0.015).
            $r('w23', 'rb', 'rc', $wire(1)).
            $r('r2', 'rc', 'rd', 0.015).
            $r('w24', 'rd', 'ri', $wire(3)).
            $r('rin', 'ri', 'c', 3300).
            $r('w25', 'ri', 'pc', $wire(4)).
            $r('ps', 'pc', 'pn', 0.015).
            $r('w26', 'pn', 'pi', $wire(4)).
            $r('pin', 'pi', 'c', 3300).
            $r('relay', 'pi', 'mv', 0.015).
            $r('w27', 'mv', 'va', $wire(4)).
            $r('coil', 'va', 'vx', 26).
            sprintf("Lc vx vb %.9g\n", 52 / (2 * M_PI * 60)).
            $r('w28', 'vb', 'c', $wire(4)).
            ".control\nset numdgt=12\nac lin 1 60 60\nlet rc = mag(v(rail)-v(c))\nlet valve = mag(v(va)-v(vb))\nlet pswitch = 1000*mag(v(pc)-v(pn))\nprint rc\nprint valve\nprint pswitch\nquit\n.endc\n.end\n";
        $their = Ngspice::figures($deck);
        [$bench, $state] = Fixtures::bench();
        $state = $bench->advance($state, 60_000);
        self::assertSame('flame', $state->slots['board.control']['state']);
        $s = $bench->machine()->solution($state);
        $p = Fixtures::furnace()->places;
        self::assertEqualsWithDelta($their['rc'], $s->acVolts($p['board.R'], $p['board.C']), 0.01 * $their['rc']);
        self::assertEqualsWithDelta(
            $their['valve'],
            $s->acVolts($p['valve.MV'], $p['valve.MVC']),
            0.01 * $their['valve'],
        );
        self::assertEqualsWithDelta(
            $their['pswitch'],
            1000 * $s->acVolts($p['pressure.C'], $p['pressure.NO']),
            0.02 * $their['pswitch'],
        );
    }

    public function test_two_transformers_in_phase_and_out_of_phase(): void
    {
        // both primaries on one supply, secondaries in series with 20 Ω across the pair; the second one way and the
        // other
        foreach (
            ['in' => ['two.X1', 'two.X2', 1], 'out' => ['two.X2', 'two.X1', -1]] as $phase => [$joined, $far, $sign]
        ) {
            $half = fn (string $n, int $sign, string $a, string $b) => sprintf(
                "Rp%1\$s l p%1\$s 9.054\nLm%1\$s p%1\$s 0 %3\$.9g\nEw%1\$s q%1\$s 0 i%1\$s %5\$s %2\$.9g\nVs%1\$s p%1\$s q%1\$s 0\nFw%1\$s %5\$s i%1\$s Vs%1\$s %2\$.9g\n".
                    "Rs%1\$s i%1\$s j%1\$s 0.7\nLk%1\$s j%1\$s %4\$s %6\$.9g\nLn%1\$s i%1\$s %5\$s %7\$.9g\nRl%1\$s %4\$s %5\$s 400\n",
                $n,
                $sign * 4.4,
                3000 / (2 * M_PI * 60),
                $a,
                $b,
                0.25 / (2 * M_PI * 60),
                3000 / 4.4 ** 2 / (2 * M_PI * 60),
            );
            $deck =
                "* two transformers\nV1 l 0 ac 121\n".
                $half('a', 1, 'x', 'm').
                $half('b', $sign, 'm', 'y').
                "RL x y 20\nRe y 0 1e9\n".
                ".control\nset numdgt=12\nac lin 1 60 60\nlet v = mag(v(x)-v(y))\nprint v\nquit\n.endc\n.end\n";
            $their = Ngspice::figures($deck)['v'];
            $model = Fixtures::small(
                [
                    'panel' => 'supply',
                    'one' => 'transformer-120-24',
                    'two' => 'transformer-120-24',
                    'heat' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 20, 'hot_ohm' => 20]]],
                ],
                [
                    ['panel.L', 'one.H1'],
                    ['panel.N', 'one.H2'],
                    ['panel.L', 'two.H1'],
                    ['panel.N', 'two.H2'],
                    ['one.X2', $joined],
                    ['one.X1', 'heat.1'],
                    [$far, 'heat.2'],
                ],
            );
            $plan = Compiler::compile($model);
            $machine = new Machine($plan, [], new Memory());
            $v = $machine
                ->solution($machine->settle($machine->initial()))
                ->acVolts($plan->places['heat.1'], $plan->places['heat.2']);
            self::assertEqualsWithDelta($their, $v, 0.01 * $their + 0.05, $phase);
            $phase === 'in' ? self::assertGreaterThan(45, $v) : self::assertLessThan(0.5, $v);
        }
    }
}
