<?php

declare(strict_types=1);

namespace OddSpark\Tests\Senses;

use OddSpark\Appliance\Household;
use OddSpark\Senses\Complaint;
use OddSpark\Senses\Lived;
use OddSpark\Senses\Record;
use PHPUnit\Framework\TestCase;

final class RecordTest extends TestCase
{
    public function test_stretches_follow_each_other_and_what_is_not_perceived_has_none(): void
    {
        $r = new Record();
        $r->see(0, ['lamp' => 'off', 'flame' => '']);
        $r->see(100, ['lamp' => 'off', 'flame' => 'lit']);
        $r->see(250, ['lamp' => 'on']);
        $r->see(400, ['lamp' => 'on', 'flame' => 'lit']);
        self::assertSame([
            'flame' => [[0, 100, ''], [100, 250, 'lit'], [400, 500, 'lit']],
            'lamp' => [[0, 250, 'off'], [250, 500, 'on']],
        ], array_map(null, $this->sorted($r->until(500))));
    }

    public function test_what_lasts_no_time_is_not_perceived(): void
    {
        $r = new Record();
        $r->see(0, ['click' => '']);
        $r->see(10, ['click' => 'in']);
        $r->see(10, ['click' => '']);
        self::assertSame(['click' => [[0, 10, ''], [10, 20, '']]], $r->until(20));
    }

    public function test_a_record_goes_on_where_it_was_kept(): void
    {
        $r = new Record();
        $r->see(0, ['lamp' => 'off']);
        $again = Record::resumed(json_decode((string) json_encode($r->kept()), true));
        $again->see(90, ['lamp' => 'on']);
        self::assertSame(['lamp' => [[0, 90, 'off'], [90, 100, 'on']]], $again->until(100));
    }

    public function test_a_customer_says_only_what_was_so(): void
    {
        $household = [
            'rooms' => [],
            'cycle' => [],
            'heat' => ['flame' => ['lit']],
            'air' => ['blower.sound' => ['runs', 'slow']],
            'smell' => ['flame' => ['gas']],
            'hum' => ['blower.sound' => ['hums']],
        ];
        $say = fn (array $heard, array $found = [], array $more = [], array $called = [[0, 2_400_000]]) => array_column(
            Complaint::of(Household::of($more + $household), new Lived(
                $heard,
                [$found + ['name' => '', 'now' => 70.0, 'wants' => 70.0, 'blank' => false, 'calling' => true]],
                $called,
            )),
            'id',
        );
        $minute = 60_000;
        self::assertSame(['no-heat', 'no-fan'], $say([]));
        self::assertSame(['blank', 'no-heat', 'no-fan'], $say([], ['blank' => true]));
        self::assertSame(['no-heat', 'cold-air'], $say(['blower.sound' => [[0, 5 * $minute, 'runs']]]));
        self::assertSame(
            ['works'],
            $say(['flame' => [[0, 20 * $minute, 'lit']], 'blower.sound' => [[0, 21 * $minute, 'runs']]]),
        );
        self::assertSame(
            ['quit'],
            $say([
                'flame' => [[0, 20 * $minute, 'lit'], [20 * $minute, 21 * $minute, '']],
                'blower.sound' => [[0, 21 * $minute, 'runs']],
            ]),
        );
        $short = [];
        for ($i = 0; $i < 4; $i++) {
            $short[] = [10 * $i * $minute, (10 * $i + 4) * $minute, 'lit'];
        }
        self::assertSame(['short'], $say(['flame' => $short, 'blower.sound' => [[0, 20 * $minute, 'runs']]]));
        self::assertContains(
            'too-warm',
            $say(['flame' => [[0, 20 * $minute, 'lit']], 'blower.sound' => [[0, 1, 'runs']]], ['now' => 74.0]),
        );
    }

    public function test_rooms_are_told_apart_and_hot_water_is_missed(): void
    {
        $room = fn (string $name, float $now) => [
            'name' => $name,
            'now' => $now,
            'wants' => 70.0,
            'blank' => false,
            'calling' => false,
        ];
        $say = fn (array $rooms, ?array $water = null) => array_column(
            Complaint::of(
                Household::of(['rooms' => [], 'heat' => ['flame' => ['lit']], 'cycle' => [], 'comes_and_goes' => true]),
                new Lived(['flame' => [[0, 2_400_000, 'lit']]], $rooms, [[0, 2_400_000]], $water),
            ),
            'text',
        );
        self::assertSame(['It stays cold in the attic.'], $say([$room('in the hall', 70), $room('in the attic', 61)]));
        self::assertSame(
            ['It gets too warm in the hall.'],
            $say([$room('in the hall', 76), $room('in the attic', 70)]),
        );
        self::assertSame(
            ['It heated for a while, but it does not get warm.'],
            $say([$room('in the hall', 60), $room('in the attic', 61)]),
        );
        self::assertSame(
            ['There is no hot water.'],
            $say([$room('', 70)], ['now' => 30.0, 'wants' => 58.0]),
        );
    }

    /**
     * @param array<string, mixed> $x
     * @return array<string, mixed>
     */
    private function sorted(array $x): array
    {
        ksort($x);

        return $x;
    }
}
