<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Acts\Danger;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Observations;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** House rules that stop what would hurt, instead of letting it happen. */
final class HouseRulesTest extends TestCase
{
    private const TRUTH = 'limit:stuck-open';

    /** The line to the control, lifted with the service switch on. */
    private const LIVE = ['at_s' => 52, 'act' => 'lift', 'end' => 'w07.a'];

    public function test_every_other_work_and_each_of_its_lines_has_a_title(): void
    {
        $titles = Rules::otherWork();
        self::assertSame(array_map(array_keys(...), array_values(Rules::OTHER_WORK)), array_map(
            fn (array $work): array => array_keys($work['lines']),
            $titles,
        ));
        self::assertSame(count($titles), count(array_unique(array_column($titles, 'title'))));
    }

    public function test_a_line_beside_those_of_tracing_can_weigh_nothing_and_others_never_all_nothing(): void
    {
        $none = array_fill_keys(Rules::linesOfOtherWork(), 0);
        $document = json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true);
        $weights = Rules::of(['weights' => $none + $document['weights']] + $document)->weights;
        self::assertSame([0.0, 0.0], [(float) $weights['night'], (float) $weights['compared']]);
        self::assertGreaterThan(0, $weights['guided']);
        self::assertGreaterThan(0, $weights['predicted'] + $weights['live']);
    }

    public function test_a_dangerous_act_is_stopped_says_why_and_changes_nothing(): void
    {
        $entries = [...Fixtures::limitTrace(), self::LIVE, ['at_s' => 54, 'act' => 'read']];
        $stopped = $this->attempt($entries, ['live-work'])->entries;
        self::assertStringContainsString(
            'The house rules stop this. Hands on a conductor',
            (string) $stopped[9][1]->refused,
        );
        self::assertTrue($stopped[9][1]->wasStopped());
        $done = $this->attempt($entries, [])->entries;
        self::assertNull($done[9][1]->refused);
        self::assertNotEquals(
            $done[10][1]->reading?->value,
            $stopped[10][1]->reading?->value,
            'lifted, the reading changes; stopped, it does not',
        );
    }

    public function test_what_shows_only_in_the_doing_is_stopped_too_and_leaves_no_trace(): void
    {
        $start = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
        $leads = ['act' => 'leads', 'red' => 'board.R', 'black' => 'board.C'];
        $seen = $this->attempt(
            [
                ...$start,
                ['at_s' => 5] + $leads,
                ['at_s' => 9, 'act' => 'dial', 'mode' => 'ohm'],
                ['at_s' => 15, 'act' => 'read'],
            ],
            ['ohms-on-live'],
        );
        self::assertTrue($seen->entries[3][1]->wasStopped(), 'turned to ohms with the leads on live places');
        self::assertSame('vac', $seen->entries[4][1]->reading?->mode->key(), 'the dial was not turned');
        self::assertSame(
            [],
            array_filter(array_keys($seen->perceived), fn (string $channel) => str_starts_with($channel, 'meter ohm')),
        );
        $amps = [...$start, ['at_s' => 3, 'act' => 'dial', 'mode' => 'ma'], ['at_s' => 4] + $leads];
        self::assertNotSame([], $this->attempt($amps, [])->entries[3][1]->dangers);
        $kept = $this->work($amps, ['meter-fuse']);
        self::assertTrue($kept->observations->entries[3][1]->wasStopped());
        self::assertSame([], $kept->state->blown, 'its fuse is whole');
    }

    public function test_what_the_rules_do_not_name_happens_and_is_told(): void
    {
        $done = $this->attempt([...Fixtures::limitTrace(), self::LIVE], ['safety-jumpered'])->entries;
        self::assertNull($done[9][1]->refused);
        self::assertSame(['live-work'], $done[9][1]->dangers);
    }

    public function test_an_act_that_was_stopped_tells_nothing_and_rules_nothing_out(): void
    {
        $plain = $this->attempt(Fixtures::limitTrace(), []);
        $tried = $this->attempt([...Fixtures::limitTrace(), self::LIVE], ['live-work']);
        $left = fn (Observations $seen) => array_keys($this->tracker()->follow($seen)[count($seen->entries)]->weights);
        self::assertSame($left($plain), $left($tried));
    }

    public function test_an_act_that_was_stopped_costs_half_and_does_not_fail_by_itself(): void
    {
        $entries = [
            ...Fixtures::limitTrace(),
            self::LIVE,
            ['at_s' => 60, 'act' => 'name', 'fault' => self::TRUTH],
            ['at_s' => 65, 'act' => 'hold', 'to' => 'released'],
            ['at_s' => 70, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
            ['at_s' => 72, 'act' => 'mend', 'part' => 'limit', 'how' => 'replace'],
            ['at_s' => 80, 'act' => 'door', 'to' => 'shut'],
            ['at_s' => 82, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'on'],
            ['at_s' => 260, 'act' => 'hand_back'],
        ];
        $stopped = $this->mark($this->attempt($entries, Danger::ALL));
        self::assertTrue($stopped->passed());
        self::assertEqualsWithDelta(0.7, $stopped->lines[0]->share, 1e-9);
        self::assertStringStartsWith('Tried, and stopped', $stopped->lines[0]->why[0]['text']);
        array_splice($entries, 10, 0, [['at_s' => 55, 'act' => 'land', 'end' => 'w07.a']]);
        self::assertFalse($this->mark($this->attempt($entries, []))->passed());
    }

    /**
     * @param list<array<string, mixed>> $entries
     * @param list<string> $stops
     */
    private function attempt(array $entries, array $stops): Observations
    {
        return $this->work($entries, $stops)->observations;
    }

    /**
     * @param list<array<string, mixed>> $entries
     * @param list<string> $stops
     */
    private function work(array $entries, array $stops): Attempt
    {
        return Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get(self::TRUTH),
            Fixtures::log($entries),
            'cold',
            new Memory(),
            stops: $stops,
        );
    }

    private function tracker(): Tracker
    {
        return new Tracker(Fixtures::furnace(), Fixtures::universe(), 'cold', new Memory());
    }

    private function mark(Observations $seen): Mark
    {
        return Marking::mark(Fixtures::furnace(), Fixtures::universe(), self::TRUTH, $seen);
    }
}
