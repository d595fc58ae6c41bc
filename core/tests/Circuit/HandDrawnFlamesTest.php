<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Circuits drawn by hand from the literature: flames and diodes. */
final class HandDrawnFlamesTest extends TestCase
{
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
