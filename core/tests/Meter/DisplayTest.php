<?php

declare(strict_types=1);

namespace OddSpark\Tests\Meter;

use OddSpark\Meter\Display;
use OddSpark\Meter\Mode;
use PHPUnit\Framework\TestCase;

/** The display in time: settling, and what the smallest and largest that are kept catch. */
final class DisplayTest extends TestCase
{
    public function test_it_settles_to_a_change_in_its_time(): void
    {
        $d = Display::fresh()->follow(Mode::VoltsAc, 0.0, 0);
        $d = $d->follow(Mode::VoltsAc, 24.0, 10_000);
        self::assertSame(0.0, $d->at(Mode::VoltsAc, 10_000));
        $soon = $d->at(Mode::VoltsAc, 10_150);
        self::assertGreaterThan(15, $soon);
        self::assertLessThan(22, $soon);
        self::assertSame(24.0, $d->at(Mode::VoltsAc, 10_500));
    }

    public function test_what_was_there_when_the_leads_went_on_is_read_as_it_is(): void
    {
        self::assertSame(24.0, Display::fresh()->follow(Mode::VoltsAc, 24.0, 700)->at(Mode::VoltsAc, 700));
    }

    public function test_least_and_most_catch_four_seconds_and_miss_a_flicker(): void
    {
        $d = Display::fresh(true)->follow(Mode::VoltsAc, 0.0, 0);
        $d = $d->follow(Mode::VoltsAc, 24.0, 10_000);
        $d = $d->follow(Mode::VoltsAc, 0.0, 14_000);
        $d = $d->follow(Mode::VoltsAc, 119.0, 20_000);
        $d = $d->follow(Mode::VoltsAc, 0.0, 20_080);
        $d = $d->kept(Mode::VoltsAc, 30_000);
        self::assertSame([0.0, 24.0], [$d->least, $d->most]);
    }

    public function test_nothing_is_kept_unless_asked(): void
    {
        $d = Display::fresh()->follow(Mode::VoltsAc, 24.0, 0)->kept(Mode::VoltsAc, 9000);
        self::assertNull($d->most);
    }

    public function test_open_and_live_are_shown_at_once(): void
    {
        $d = Display::fresh()->follow(Mode::Ohms, 58.0, 0)->follow(Mode::Ohms, INF, 1000);
        self::assertInfinite($d->at(Mode::Ohms, 1000));
        $d = $d->follow(Mode::Ohms, NAN, 2000);
        self::assertNan($d->at(Mode::Ohms, 2000));
        self::assertSame(58.0, $d->follow(Mode::Ohms, 58.0, 3000)->at(Mode::Ohms, 3000));
    }
}
