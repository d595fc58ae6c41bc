<?php

declare(strict_types=1);

namespace OddSpark\Tests\Meter;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
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
    }

    #[DataProvider('displays')]
    public function test_a_display_of_6000_counts(Mode $mode, float $exact, string $text): void
    {
        self::assertSame($text, Meter::show($mode, $exact)->text());
    }

    public function test_noise_stays_within_what_agrees(): void
    {
        foreach ([0.0, 0.004, 2.7, 26.3, 119.7] as $exact) {
            for ($seed = 0; $seed < 300; $seed++) {
                self::assertTrue(Meter::agrees(Meter::show(Mode::VoltsAc, $exact, $seed), $exact), "$exact with seed $seed");
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
            self::assertEquals($r, Reading::fromArray($r->toArray()));
        }
    }
}
