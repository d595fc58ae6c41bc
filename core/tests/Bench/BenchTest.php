<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\ActError;
use OddSpark\Acts\ActionLog;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What acts do, what they refuse, and what they would have done in life. */
final class BenchTest extends TestCase
{
    /** @var array<string, mixed> */
    private BenchState $state;

    private Bench $bench;

    public function test_the_door_takes_the_power_and_the_held_switch_gives_it_back(): void
    {
        $this->arrive();
        $this->do(0, 'look', ['part' => 'board']);
        self::assertSame('steady', $this->lamp());
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(3, 'wait');
        self::assertSame('off', $this->lamp());
        $this->do(4, 'hold', ['to' => 'held']);
        $this->do(6, 'wait');
        self::assertSame('steady', $this->lamp());
    }

    public function test_sights_are_seen_one_place_at_a_time_and_sounds_wherever_one_stands(): void
    {
        $this->arrive();
        $this->do(0, 'door', ['to' => 'open']);
        $this->do(0, 'hold', ['to' => 'held']);
        self::assertSame([], $this->sights(), 'nothing has been looked at yet');
        self::assertArrayHasKey('inducer.sound', $this->bench->now($this->state));
        $this->do(1, 'look', ['part' => 'board']);
        self::assertSame(['board.lamp'], $this->sights());
        $this->do(2, 'look', ['part' => 'igniter']);
        self::assertSame(['burners.flame', 'igniter.glow'], $this->sights(), 'the burner box is one place');
        $this->do(3, 'look', ['part' => 'filter']);
        self::assertSame([], $this->sights());
        $this->do(4, 'wait');
        $lamp = $this->bench->record->until(4000)['board.lamp'];
        self::assertSame(
            [1000, 2000],
            [$lamp[0][0], end($lamp)[1]],
            'what was not looked at was not seen, which is not the same as dark',
        );
    }

    public function test_through_the_glass_of_the_door_only_the_lamp_is_seen(): void
    {
        $this->arrive();
        self::assertSame(['board lamp' => 'steady'], $this->do(0, 'look', ['part' => 'board'])->seen);
        self::assertSame(['board.lamp'], $this->sights());
    }

    public function test_what_changes_where_nobody_looks_is_not_the_next_thing_that_happens(): void
    {
        $stops = function (string $eyes): array {
            $this->arrive();
            $this->do(0, 'door', ['to' => 'open']);
            $this->do(0, 'hold', ['to' => 'held']);
            $this->do(0, 'look', ['part' => $eyes]);
            $stops = [];
            for (
                $state = $this->bench->advance($this->state, 300_000, true);
                $state->now() < 300_000;
                $state = $this->bench->advance($state, 300_000, true)
            ) {
                $stops[] = $state->now();
            }

            return [$stops, $state->slots];
        };
        [$away, $slots] = $stops('filter');
        [$there, $same] = $stops('burners');
        self::assertSame([], array_diff($away, $there), 'sounds stop both');
        self::assertNotSame([], array_diff($there, $away), 'glow and flame only the one who looks');
        self::assertSame($slots, $same, 'looking changes nothing in the appliance');
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'lead behind the door' => ['leads', ['red' => 'board.R', 'black' => 'board.C'], 'behind the door'];
        yield 'lead on no place' => ['leads', ['red' => 'board.Q', 'black' => 'board.C'], 'no place called "board.Q"'];
        yield 'look behind the door' => ['look', ['part' => 'igniter'], 'behind the door'];
        yield 'look at nothing' => ['look', ['part' => 'gizmo'], 'no part called "gizmo"'];
        yield 'hold with the door on' => ['hold', ['to' => 'held'], 'The door itself'];
        yield 'read without leads' => ['read', [], 'not on anything'];
        yield 'set beyond range' => ['set', ['part' => 'thermostat', 'lever' => 'set', 'to' => 120], '50 to 90'];
        yield 'set what is not there' => [
            'set',
            ['part' => 'thermostat', 'lever' => 'volume', 'to' => 1],
            'nothing called "volume"',
        ];
        yield 'reset what has no reset' => ['reset', ['part' => 'thermostat'], 'nothing to reset'];
        yield 'land what is landed' => ['land', ['end' => 'w02.a'], 'landed already'];
        yield 'lift no wire' => ['lift', ['end' => 'w99.a'], 'no wire end'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('refusals')]
    public function test_what_cannot_be_done_is_refused_with_the_reason(string $act, array $with, string $reason): void
    {
        $this->arrive();
        $before = $this->state->slots;
        $outcome = $this->do(0, $act, $with);
        self::assertStringContainsString($reason, (string) $outcome->refused);
        self::assertSame($before, $this->state->slots);
    }

    public function test_dangers_are_done_and_recorded(): void
    {
        $this->open();
        self::assertSame(['live-work'], $this->do(10, 'lift', ['end' => 'w07.a'])->dangers);
        self::assertFalse($this->state->slots['w07.body']['a']);
        $this->do(11, 'dial', ['mode' => 'ohm']);
        self::assertSame(
            ['ohms-on-live'],
            $this->do(12, 'leads', ['red' => 'l-nut.out', 'black' => 'n-nut.out'])->dangers,
        );
        $back = $this->do(13, 'hand_back')->dangers;
        self::assertEqualsCanonicalizing(['door-switch-held', 'door-open', 'wire-lifted'], $back);
    }

    public function test_handing_back_without_power_is_told(): void
    {
        foreach ([['breaker', 'handle'], ['service', 'lever']] as [$part, $lever]) {
            $this->arrive();
            $this->do(1, 'set', ['part' => $part, 'lever' => $lever, 'to' => 'off']);
            self::assertSame(['power-off'], $this->do(2, 'hand_back')->dangers, $part);
        }
    }

    public function test_a_tripped_rollout_is_reset_with_a_warning_and_trips_again(): void
    {
        $this->arrive('exchanger:cracked');
        $this->do(1, 'door', ['to' => 'open']);
        self::assertStringContainsString('tripped', implode($this->do(2, 'look', ['part' => 'rollout-l'])->seen));
        self::assertSame(['rollout-reset'], $this->do(3, 'reset', ['part' => 'rollout-l'])->dangers);
        self::assertSame([], $this->do(4, 'reset', ['part' => 'rollout-l'])->dangers, 'it is in already');
        $this->do(5, 'reset', ['part' => 'rollout-r']);
        $this->do(6, 'hold', ['to' => 'held']);
        $this->do(300, 'wait');
        self::assertTrue($this->state->slots['rollout-l.disc']['latched']);
    }

    public function test_ghost_volts_stand_on_an_open_conductor(): void
    {
        $this->arrive('w17:open');
        $outcome = $this->do(5, 'leads', ['red' => 'thermostat.W', 'black' => 'thermostat.C']);
        self::assertGreaterThan(20, $outcome->reading?->value, 'the thermostat feeds its own end');
        $this->do(6, 'set', ['part' => 'thermostat', 'lever' => 'mode', 'to' => 'off']);
        $ghost = $this->do(7, 'read')->reading?->value;
        self::assertEqualsWithDelta(3.5, $ghost, 1.0, 'about 3 to 4 V, common practice');
    }

    public function test_a_conductor_loose_at_both_ends_shows_a_ghost_to_a_live_place(): void
    {
        $this->open();
        $this->do(3, 'lift', ['end' => 'w30.a']);
        $this->do(4, 'lift', ['end' => 'w30.b']);
        $ghost = $this->do(5, 'leads', ['red' => 'board.L1', 'black' => 'w30.a'])->reading?->value;
        self::assertGreaterThan(0.3, $ghost);
        self::assertLessThan(12, $ghost);
    }

    public function test_low_impedance_collapses_a_ghost_and_not_a_source(): void
    {
        $this->arrive('w17:open');
        $this->do(1, 'set', ['part' => 'thermostat', 'lever' => 'mode', 'to' => 'off']);
        $this->do(2, 'dial', ['mode' => 'vlz']);
        self::assertLessThan(
            0.1,
            $this->do(7, 'leads', ['red' => 'thermostat.W', 'black' => 'thermostat.C'])->reading?->value,
        );
        self::assertEqualsWithDelta(
            26.7,
            $this->do(8, 'leads', ['red' => 'thermostat.R', 'black' => 'thermostat.C'])->reading?->value,
            1.0,
        );
    }

    public function test_microamps_are_read_in_series_at_the_lifted_rod_wire(): void
    {
        $this->open();
        $this->do(20, 'lift', ['end' => 'w29.a']);
        $this->do(21, 'dial', ['mode' => 'ua']);
        $this->do(22, 'leads', ['red' => 'board.FS', 'black' => 'w29.a']);
        $reading = $this->do(120, 'read')->reading;
        self::assertSame('heat', $this->state->slots['board.control']['state'], 'the meter carries the signal on');
        self::assertEqualsWithDelta(
            3.0,
            abs((float) $reading?->value),
            0.7,
            'two to four microamps are most common, common practice',
        );
    }

    public function test_microamps_across_a_source_blow_the_meters_fuse_until_it_is_replaced(): void
    {
        $this->open();
        $this->do(10, 'dial', ['mode' => 'ua']);
        self::assertSame(['meter-fuse'], $this->do(11, 'leads', ['red' => 'board.R', 'black' => 'board.C'])->dangers);
        self::assertSame(['small'], $this->state->blown);
        self::assertSame('0.0 µA', $this->do(12, 'read')->reading?->text());
        $this->do(13, 'leads', ['red' => null, 'black' => null]);
        $this->do(14, 'meter_fuse');
        self::assertSame([], $this->state->blown);
    }

    public function test_continuity_sounds_through_a_closed_switch_and_not_through_an_open_one(): void
    {
        foreach (['healthy' => '♪', 'limit:stuck-open' => 'OL'] as $fault => $shown) {
            $this->arrive($fault);
            $this->do(1, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
            $this->do(2, 'door', ['to' => 'open']);
            $this->do(3, 'lift', ['end' => 'w20.b']);
            $this->do(4, 'dial', ['mode' => 'beep']);
            self::assertStringContainsString(
                $shown,
                (string) $this->do(5, 'leads', ['red' => 'limit.a', 'black' => 'limit.b'])->reading?->text(),
            );
        }
    }

    public function test_a_voltmeter_on_the_rod_takes_the_flame_signal_down_by_about_a_third(): void
    {
        $this->open();
        $this->do(120, 'wait');
        $microamps = fn () => $this->bench
            ->machine()
            ->solution($this->state)
            ->dcVolts(Fixtures::furnace()->places['board.GND'], Fixtures::furnace()->places['board.FS']) / 4.7;
        $alone = $microamps();
        $this->do(121, 'dial', ['mode' => 'vdc']);
        $this->do(122, 'leads', ['red' => 'rod.rod', 'black' => 'screw.screw']);
        // 10 MΩ beside the 4.7 MΩ over which the control senses takes 32 % of the current; the flame, a stiff
        // source, gives some of it back
        self::assertEqualsWithDelta(0.70, $microamps() / $alone, 0.04);
    }

    public function test_mending_helps_only_where_it_is_needed(): void
    {
        $this->open('igniter:cracked');
        $this->do(10, 'hold', ['to' => 'released']);
        $this->do(11, 'mend', ['part' => 'valve', 'how' => 'replace']);
        self::assertNotContains('igniter', $this->state->mended);
        $this->do(12, 'take', ['part' => 'igniter', 'to' => 'off']);
        self::assertSame('A hairline across one leg.', $this->do(12, 'look', ['part' => 'igniter'])->seen['condition']);
        $this->do(13, 'mend', ['part' => 'igniter', 'how' => 'replace']);
        self::assertContains('igniter', $this->state->mended);
        self::assertStringContainsString('Seated', $this->do(14, 'look', ['part' => 'igniter'])->seen['condition']);
        $this->do(15, 'dial', ['mode' => 'ohm']);
        self::assertEqualsWithDelta(
            58,
            $this->do(16, 'leads', ['red' => 'igniter.1', 'black' => 'igniter.2'])->reading?->value,
            3,
        );
    }

    public function test_a_snapshot_goes_on_as_if_nothing_had_happened(): void
    {
        $this->open('filter:blocked@nearly');
        $text = Snapshot::pack($this->state->toArray());
        self::assertLessThan(64_000, strlen($text));
        $kept = BenchState::fromArray(Snapshot::unpack($text));
        self::assertEquals($this->state, $kept);
        // as versions before wrote it: instruments at taps under their own names, and what is no longer kept
        $old = ['gauge' => 'hose-tee', 'probe' => null, 'tapped' => []] + array_diff_key($this->state->toArray(), ['taps' => 1, 'unsaid' => 1]);
        self::assertEquals($this->state->with(taps: ['gauge' => 'hose-tee']), BenchState::fromArray($old));
        $this->do(400, 'wait');
        [$other] = Fixtures::bench('filter:blocked@nearly');
        $kept = $other->resume($kept);
        $again = $other->advance($kept, 400_000);
        self::assertSame(Snapshot::pack($this->state->slots), Snapshot::pack($again->slots));
    }

    public function test_the_next_thing_that_happens_is_one_that_can_be_perceived(): void
    {
        $this->arrive();
        $state = $this->bench->advance($this->state, 600_000, true);
        self::assertNotSame($this->bench->now($this->state), $this->bench->now($state));
        self::assertLessThan(600_000, $state->now());
    }

    public function test_the_same_seed_reads_the_same_and_another_may_not(): void
    {
        $read = fn (int $seed) => Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get('healthy'),
            Fixtures::log(Fixtures::limitTrace(), $seed),
            'cold',
            new Memory(),
        )->observations->toArray();
        self::assertSame($read(3), $read(3));
        self::assertNotSame($read(3)['entries'], $read(4)['entries']);
    }

    public function test_complaints_follow_from_what_happened(): void
    {
        $ids = fn (string $fault, string $visit) => array_column(
            Fixtures::bench($fault)[0]->arrive($visit)->complaint,
            'id',
        );
        self::assertSame(['works'], $ids('healthy', 'cold'));
        self::assertContains('blank', $ids('fuse:blown', 'cold'));
        self::assertContains('short', $ids('filter:blocked@half', 'cold'));
        self::assertContains('fan-always', $ids('limit:stuck-open', 'cold'));
        self::assertContains('hum', $ids('inducer:seized', 'cold'));
        self::assertContains('quit', $ids('limit:stuck-open', 'hot'));
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function badLogs(): iterable
    {
        yield 'version' => [['entries' => []], '/odd_spark_actions'];
        yield 'unknown act' => [
            ['odd_spark_actions' => 1, 'entries' => [['at_s' => 1, 'act' => 'pray']]],
            '/entries/0/act',
        ];
        yield 'backwards' => [
            ['odd_spark_actions' => 1, 'entries' => [['at_s' => 5, 'act' => 'wait'], ['at_s' => 4, 'act' => 'wait']]],
            '/entries/1/at_s',
        ];
        yield 'missing field' => [
            ['odd_spark_actions' => 1, 'entries' => [['at_s' => 5, 'act' => 'look']]],
            '/entries/0/part',
        ];
        yield 'unknown field' => [
            ['odd_spark_actions' => 1, 'entries' => [['at_s' => 5, 'act' => 'wait', 'why' => 1]]],
            '/entries/0/why',
        ];
        yield 'infinite' => [
            ['odd_spark_actions' => 1, 'entries' => [['at_s' => INF, 'act' => 'wait']]],
            '/entries/0/at_s',
        ];
    }

    /** @param array<string, mixed> $json */
    #[DataProvider('badLogs')]
    public function test_a_bad_action_log_says_where(array $json, string $pointer): void
    {
        try {
            ActionLog::of($json);
            self::fail('it was taken');
        } catch (ActError $e) {
            self::assertSame($pointer, $e->pointer);
        }
    }

    private function arrive(string $fault = 'healthy'): void
    {
        [$this->bench, $this->state] = Fixtures::bench($fault);
    }

    private function open(string $fault = 'healthy'): void
    {
        $this->arrive($fault);
        $this->do(1, 'door', ['to' => 'open']);
        $this->do(2, 'hold', ['to' => 'held']);
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }

    /** @return list<string> channels seen just now */
    private function sights(): array
    {
        $plan = $this->bench->plan;

        return array_values(
            array_filter(
                array_keys($this->bench->now($this->state)),
                fn (string $c) => ($plan->percepts[$c]['sense'] ?? '') === 'sight',
            ),
        );
    }

    private function lamp(): string
    {
        return $this->bench->now($this->state)['board.lamp'];
    }
}
