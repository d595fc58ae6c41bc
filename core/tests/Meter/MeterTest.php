<?php

declare(strict_types=1);

namespace OddSpark\Tests\Meter;

use OddSpark\Instruments\Bag;
use OddSpark\Instruments\ClampMeter;
use OddSpark\Instruments\Manometer;
use OddSpark\Instruments\Thermometer;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Meter\Scale;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeterTest extends TestCase
{
    /** @return iterable<array{Mode, float, string}> */
    public static function displays(): iterable
    {
        yield [Mode::VoltsAc, 26.71234, '26.71 V AC'];
        yield [Mode::VoltsAc, 120.98, '121.0 V AC'];
        yield [Mode::VoltsDc, -14.1, '-14.10 V DC'];
        yield [Mode::Ohms, 58.04, '58.0 Ω'];
        yield [Mode::Ohms, 1234.0, '1.234 kΩ'];
        yield [Mode::Ohms, 4.7e6, '4.700 MΩ'];
        yield [Mode::Ohms, INF, 'OL Ω'];
        yield [Mode::Ohms, NAN, '⚠ LIVE'];
        yield [Mode::Beep, 0.42, '0.4 Ω ♪'];
        yield [Mode::Beep, 58.0, '58.0 Ω'];
        yield [Mode::VoltsLow, 26.71, '26.7 V AC Lo'];
        yield [Mode::Microamps, 3.16, '3.2 µA'];
        yield [Mode::Milliamps, 0.0031, '0.00 mA'];
        yield [Mode::Amps, 0.4321, '0.432 A AC'];
        yield [Mode::Millivolts, 29.87, '29.9 mV DC'];
        yield [Mode::Microfarads, 7.4812, '7.48 µF'];
        yield [Mode::Hertz, 60.0, '60.0 Hz'];
        yield [new ClampMeter(), 0.31, '0.31 A AC'];
        yield [new Manometer(), 0.953, '0.95 in. w.c.'];
        yield [new Thermometer(), 131.64, '131.6 °F'];
        yield [Mode::VoltsAc, 612.0, 'OL V AC'];
        yield [Mode::Millivolts, INF, 'OL mV DC'];
    }

    #[DataProvider('displays')]
    public function test_a_display_of_6000_counts(Scale $mode, float $exact, string $text): void
    {
        self::assertSame($text, Meter::show($mode, $exact)->text());
    }

    public function test_a_range_chosen_by_hand_is_too_coarse_or_too_small(): void
    {
        self::assertSame('26.7 V AC', Meter::show(Mode::VoltsAc, 26.71, range: 600.0)->text());
        self::assertSame('OL V AC', Meter::show(Mode::VoltsAc, 26.71, range: 6.0)->text());
        self::assertTrue(Meter::agrees(Meter::show(Mode::VoltsAc, 26.71, range: 6.0), 26.0));
        self::assertFalse(
            Meter::agrees(Meter::show(Mode::VoltsAc, 26.71, range: 6.0), 0.1),
            'over the range says something too',
        );
        self::assertSame('OL Ω', Meter::show(Mode::Ohms, 4700.0, range: 600.0)->text());
        self::assertTrue(Meter::agrees(Meter::show(Mode::Ohms, 4700.0, range: 600.0), 4700.0));
        self::assertFalse(Meter::agrees(Meter::show(Mode::Ohms, 4700.0, range: 600.0), 58.0));
        self::assertSame([6.0, 60.0, 600.0], Mode::VoltsAc->specification()->ranges());
    }

    public function test_a_low_battery_reads_high_says_so_and_excludes_less(): void
    {
        $low = Meter::show(Mode::VoltsAc, 26.7, 3, low: true);
        self::assertGreaterThan(27.5, $low->value);
        self::assertStringContainsString('battery low', $low->text());
        self::assertTrue(Meter::agrees($low, 26.7));
        self::assertFalse(Meter::agrees(Meter::show(Mode::VoltsAc, $low->value), 26.7), 'a good battery would not');
        self::assertFalse(Meter::agrees($low, 20.0));
    }

    public function test_a_lead_that_does_not_touch_says_nothing(): void
    {
        $unsteady = new Reading(Mode::VoltsAc, 0.0, 0.001, unsteady: true);
        self::assertTrue(Meter::agrees($unsteady, 120.0));
        self::assertSame('unsteady V AC', $unsteady->text());
        self::assertEquals($unsteady, Bag::reading($unsteady->toArray()));
    }

    public function test_noise_in_every_mode_stays_within_what_agrees(): void
    {
        foreach ([...Mode::cases(), new ClampMeter(), ...Bag::atTaps()] as $mode) {
            foreach ([0.0, 0.8, 26.3, 57.0] as $exact) {
                for ($seed = 0; $seed < 60; $seed++) {
                    self::assertTrue(
                        Meter::agrees(Meter::show($mode, $exact, $seed), $exact),
                        "{$mode->key()} $exact with seed $seed",
                    );
                    self::assertTrue(
                        Meter::agrees(Meter::show($mode, $exact, $seed, low: true), $exact),
                        "{$mode->key()} $exact, battery low, seed $seed",
                    );
                }
            }
        }
    }

    public function test_noise_stays_within_what_agrees(): void
    {
        foreach ([0.0, 0.004, 2.7, 26.3, 119.7] as $exact) {
            for ($seed = 0; $seed < 300; $seed++) {
                self::assertTrue(
                    Meter::agrees(Meter::show(Mode::VoltsAc, $exact, $seed), $exact),
                    "$exact with seed $seed",
                );
            }
        }
        self::assertFalse(Meter::agrees(Meter::show(Mode::VoltsAc, 26.7), 24.0));
        self::assertFalse(Meter::agrees(Meter::show(Mode::Ohms, 58.0), INF));
        self::assertFalse(Meter::agrees(Meter::show(Mode::Ohms, NAN), 58.0));
    }

    public function test_a_reading_survives_being_kept(): void
    {
        foreach ([26.7, INF] as $v) {
            $r = Meter::show(Mode::Ohms, $v);
            self::assertEquals($r, Bag::reading($r->toArray()));
        }
        $kept = new Reading(Mode::VoltsAc, 0.1, 0.001, least: 0.1, most: 26.7);
        self::assertEquals($kept, Bag::reading($kept->toArray()));
        self::assertSame('0.100 V AC (least 0.100 V AC, most 26.70 V AC)', $kept->text());
    }
}
