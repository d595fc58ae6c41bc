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
use PHPUnit\Framework\Attributes\DataProvider;
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

    /** @return iterable<array{float, float, float}> flame, reverse leakage, sensing resistor */
    public static function flames(): iterable
    {
        foreach ([3e6, 12e6, 60e6] as $flame) {
            foreach ([60e6, 300e6, 1e12] as $reverse) {
                foreach ([1e6, 4.7e6] as $sense) {
                    if ($reverse > 2 * $flame) {
                        yield [$flame, $reverse, $sense];
                    }
                }
            }
        }
    }

    #[DataProvider('flames')]
    public function test_the_flame_loop_is_within_a_hundredth_of_a_transient(
        float $flame,
        float $reverse,
        float $sense,
    ): void {
        // 120 V, 22 nF and 10 nF to the rod, sensing resistor to the control's ground; the flame with two slopes
        $deck =
            "* flame\nV1 l 0 sin(0 169.7056 60)\nC1 l fs 22n\nC2 fs 0 10n\nRs fs 0 $sense\nBf fs 0 I = V(fs) > 0 ? V(fs)/$flame : V(fs)/$reverse\n".
            ".control\nset numdgt=12\ntran 20u 3.0 2.0 20u uic\nmeas tran mean avg v(fs) from=2.0 to=3.0\nquit\n.endc\n.end\n";
        $their = -Ngspice::figures($deck)['mean'] / $sense;
        $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0], [2, 0], [2, 0]]), 60.0, [], [[2, 0]]);
        $v = new Values(5);
        $v->resistor(0, 1e6);
        $v->capacitor(1, $net->omega() * 22e-9, 1e-15);
        $v->capacitor(2, $net->omega() * 10e-9, 1e-15);
        $v->resistor(3, 1 / $sense);
        $v->re[4] = 1 / (2 * $flame);
        $v->flames = [[$flame, $reverse]];
        $v->acSources = [1 => [120e6, 0.0]];
        self::assertEqualsWithDelta($their, -Solution::of($net, $v)->dcVolts(2, 0) / $sense, 0.01 * $their);
    }

    /** @return iterable<string, array{float}> Ω behind the diode */
    public static function rectified(): iterable
    {
        foreach ([50.0, 2e3, 1e5, 1e7] as $load) {
            yield "$load" => [$load];
        }
    }

    #[DataProvider('rectified')]
    public function test_half_waves_behind_a_diode(float $load): void
    {
        // 24 V behind 1.5 Ω, a diode of 5 Ω one way and 5 MΩ the other, a load: DC, and AC rms with its harmonics
        $deck =
            "* diode\nV1 s 0 sin(0 33.9411 60)\nRs s a 1.5\nBd a k I = V(a,k) > 0 ? V(a,k)/5 : V(a,k)/5e6\nRl k 0 $load\n".
            ".control\nset numdgt=12\ntran 10u 1.0 0.5 10u\nmeas tran mean avg v(k) from=0.5 to=1.0\n".
            "meas tran rms rms v(k) from=0.5 to=1.0\nquit\n.endc\n.end\n";
        ['mean' => $mean, 'rms' => $rms] = Ngspice::figures($deck);
        $own = $this->diode($load);
        self::assertEqualsWithDelta($mean, $own->dcVolts(2, 0), 0.005 * $mean);
        $ac = sqrt($rms ** 2 - $mean ** 2);
        self::assertEqualsWithDelta($ac, $own->acVolts(2, 0), 0.01 * $ac);
        if ($load < 1e6) { // what every text on rectifiers has: 0.45 and 0.545 of the volts
            $share = $load / ($load + 6.5);
            self::assertEqualsWithDelta(0.45 * 24 * $share, $own->dcVolts(2, 0), 0.35);
            self::assertEqualsWithDelta(0.545 * 24 * $share, $own->acVolts(2, 0), 0.35);
        }
    }

    /** A cable that hangs behind a diode, whatever its length and however little leaks: no more volts than feed it. */
    public function test_what_a_diode_charges_never_stands_beyond_what_feeds_it(): void
    {
        foreach ([[5.0, 5e6], [800.0, 2e7], [1.2e5, 2e7], [1.0, 1e12]] as [$forward, $reverse]) {
            foreach ([1e7, 1e9, 1e12] as $leak) {
                foreach ([1e-12, 1e-11, 1e-10, 1e-9, 1e-8] as $farad) {
                    $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0, [], [[1, 2]]);
                    $v = new Values(3);
                    $v->resistor(0, 1 / 1.5);
                    $v->resistor(1, 1 / (2 * $forward));
                    $v->capacitor(2, 2 * M_PI * 60 * $farad, 1 / $leak);
                    $v->flames = [[$forward, $reverse, 1 / (2 * $forward), true]];
                    $v->acSources = [1 => [24 / 1.5, 0.0]];
                    $own = Solution::of($net, $v);
                    self::assertLessThan(1.03 * 24, $own->acVolts(2, 0), "$forward, $leak Ω, $farad F");
                    self::assertLessThan(1.001 * 24 * M_SQRT2, $own->dcVolts(2, 0), "$forward, $leak Ω, $farad F");
                }
            }
        }
    }

    public function test_ohms_through_a_diode_depend_on_which_lead_is_where(): void
    {
        $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0, [], [[1, 2]]);
        $v = new Values(3);
        $v->resistor(1, 1 / 10);
        $v->flames = [[5.0, 5e6, 1 / 10, true]];
        $own = Solution::of($net, $v);
        self::assertEqualsWithDelta(5.0, $own->dcOhms(1, 2), 1e-3);
        self::assertEqualsWithDelta(5e6, $own->dcOhms(2, 1), 5e3);
    }

    private function diode(float $load): Solution
    {
        $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0]]), 60.0, [], [[1, 2]]);
        $v = new Values(3);
        $v->resistor(0, 1 / 1.5);
        $v->resistor(1, 1 / 10);
        $v->resistor(2, 1 / $load);
        $v->flames = [[5.0, 5e6, 1 / 10, true]];
        $v->acSources = [1 => [24 / 1.5, 0.0]];

        return Solution::of($net, $v);
    }

    /** @return iterable<string, array{float, float, float}> what returns from the burner, flame, reverse leakage */
    public static function returns(): iterable
    {
        foreach ([1e6, 1e7] as $meter) {
            foreach ([[9e6, 600e6], [3e6, 60e6]] as [$flame, $reverse]) {
                yield "$meter, $flame" => [$meter, $flame, $reverse];
            }
        }
    }

    #[DataProvider('returns')]
    public function test_a_flame_that_returns_through_a_meter_alone(float $meter, float $flame, float $reverse): void
    {
        // as above, the burner off the ground but for a voltmeter: AC rms with its harmonics, and DC
        $deck =
            "* lost\nV1 l 0 sin(0 169.7056 60)\nC1 l fs 22n\nC2 fs 0 1n\nRs fs 0 4.7meg\n".
            "Bf fs b I = V(fs,b) > 0 ? V(fs,b)/$flame : V(fs,b)/$reverse\nRm b 0 $meter\n".
            ".control\nset numdgt=12\ntran 20u 5.0 4.0 20u uic\nmeas tran mean avg v(b) from=4.0 to=5.0\n".
            "meas tran rms rms v(b) from=4.0 to=5.0\nquit\n.endc\n.end\n";
        ['mean' => $mean, 'rms' => $rms] = Ngspice::figures($deck);
        $net = new Network(Topology::of(4, [[1, 0], [1, 2], [2, 0], [2, 0], [2, 3]]), 60.0, [], [[2, 3]]);
        $v = new Values(5);
        $v->resistor(0, 1e6);
        $v->capacitor(1, $net->omega() * 22e-9, 1e-15);
        $v->capacitor(2, $net->omega() * 1e-9, 1e-15);
        $v->resistor(3, 1 / 4.7e6);
        $v->resistor(4, 1 / (2 * $flame));
        $v->flames = [[$flame, $reverse, 1 / (2 * $flame)]];
        $v->acSources = [1 => [120e6, 0.0]];
        $own = Solution::of($net, $v)->with(3, 0, 1 / $meter);
        self::assertEqualsWithDelta($mean, $own->dcVolts(3, 0), 0.01 * $mean);
        $ac = sqrt($rms ** 2 - $mean ** 2);
        self::assertEqualsWithDelta($ac, $own->acVolts(3, 0), 0.02 * $ac);
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

    public function test_a_capacitor_coupled_flame_control_and_a_voltmeter_that_disturbs_it(): void
    {
        // 120 V through 22 nF to the rod, 4.7 MΩ over which the control senses, a flame of 12 MΩ one way, nothing the
        // other
        $their = [];
        foreach (['' => 1e18, 'Rm' => 1e7] as $meter => $ohm) {
            $deck =
                "* coupled\nV1 l 0 sin(0 169.7056 60)\nC1 l fs 22n\nRs fs 0 4.7meg\nBf fs 0 I = V(fs) > 0 ? V(fs)/12e6 : 0\n".
                ($meter === '' ? '' : "Rm fs 0 10meg\n").
                ".control\nset numdgt=12\ntran 20u 3.0 2.0 20u uic\nmeas tran mean avg v(fs) from=2.0 to=3.0\nquit\n.endc\n.end\n";
            $their[] = -Ngspice::figures($deck)['mean'] / 4.7e6;
            $net = new Network(Topology::of(3, [[1, 0], [1, 2], [2, 0], [2, 0]]), 60.0, [], [[2, 0]]);
            $v = new Values(4);
            $v->resistor(0, 1e6);
            $v->capacitor(1, $net->omega() * 22e-9, 1e-15);
            $v->resistor(2, 1 / 4.7e6);
            $v->re[3] = 1 / (2 * 12e6);
            $v->flames = [[12e6, 1e15]];
            $v->acSources = [1 => [120e6, 0.0]];
            $own[] = -Solution::of($net, $v)->with(2, 0, $meter === '' ? 0.0 : 1 / $ohm)->dcVolts(2, 0) / 4.7e6;
        }
        self::assertEqualsWithDelta($their[0], $own[0], 0.01 * $their[0]);
        self::assertEqualsWithDelta($their[1], $own[1], 0.01 * $their[1]);
        self::assertEqualsWithDelta(0.7, $own[1] / $own[0], 0.05, 'about a third is gone');
    }
}
