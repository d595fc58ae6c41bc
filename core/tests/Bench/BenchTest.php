<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\ActError;
use OddSpark\Acts\ActionLog;
use OddSpark\Run\BenchState;
use OddSpark\Run\Snapshot;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What acts do, what they refuse, and what they would have done in life. */
final class BenchTest extends TestCase
{
    use AtTheFurnace;

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
        $old = [
            'gauge' => 'hose-tee',
            'probe' => null,
            'tapped' => [],
        ] + array_diff_key($this->state->toArray(), ['taps' => 1, 'unsaid' => 1]);
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
