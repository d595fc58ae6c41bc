<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Outcome;
use OddSpark\Marking\Debrief;
use OddSpark\Marking\Drift;
use OddSpark\Marking\Hint;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use OddSpark\Verbs\Sheet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is gone over afterwards, what is hinted before, and what an old attempt would show today. */
final class DebriefTest extends TestCase
{
    public function test_it_names_what_would_have_told_more_and_where_the_trace_was_won(): void
    {
        $debrief = (new Debrief(Marking::accountOf(Marking::worked('mid-motor-good'))))->toArray();
        $orange = $debrief['entries'][6]; // a look at the marker of the valve would have told more
        self::assertGreaterThan(1, $orange['before']);
        self::assertGreaterThan($orange['gained'], $orange['best'][0]['bits']);
        self::assertLessThan(0.9, $orange['share']);
        self::assertSame(6, $debrief['lost'][0]['entry']);
        self::assertSame(7, $debrief['won'][0]['entry'], 'the lever that moves without resistance');
        self::assertSame(1, end($debrief['entries'])['after']);
        self::assertSame([], $debrief['same']);
    }

    public function test_it_says_which_families_an_entry_spoke_against(): void
    {
        $debrief = (new Debrief(Marking::accountOf(Marking::worked('furnace-limit-good'))))->toArray();
        $lamp = array_column($debrief['entries'][3]['families'], null, 'family');
        self::assertGreaterThan($lamp['limit']['before'], $lamp['limit']['after']);
        self::assertSame([], $debrief['lost'], 'to confirm is nothing lost');
    }

    public function test_a_right_name_that_is_not_proved_is_told_what_would_have_shown_the_same(): void
    {
        $account = Marking::accountOf(Marking::worked('furnace-limit-lucky'));
        $same = (new Debrief($account))->toArray()['same'];
        self::assertNotSame([], $same);
        self::assertNotContains('Limit: stuck open', $same);
        self::assertStringContainsString(
            $same[0],
            Marker::of($account)->mark(Marking::rules())->line('reasoning')->why[0]['text'],
        );
    }

    /** @return iterable<string, array{string, bool, string}> */
    public static function left(): iterable
    {
        yield 'mended' => ['furnace-limit-good', false, ''];
        yield 'the limit replaced, the filter left' => [
            'furnace-filter-cause-left',
            true,
            'runs a while and quits',
        ];
        yield 'the fuse replaced, the short left' => ['furnace-short-fuse-only', true, 'blank'];
        yield 'one of two' => ['furnace-pair-first-only', true, 'runs a while and quits'];
        yield 'a safety reset and left dirty' => ['boiler-cutoff-reset', true, 'no heat'];
        yield 'the wrong zone' => ['zones-wrong-zone', true, 'practice rooms'];
        yield 'the right zone' => ['zones-motor-good', false, ''];
        yield 'nothing wrong' => ['furnace-healthy-good', false, ''];
    }

    #[DataProvider('left')]
    public function test_a_cured_symptom_with_the_cause_left_comes_back(
        string $worked,
        bool $called,
        string $says,
    ): void {
        $mark = Marker::of(Marking::accountOf(Marking::worked($worked)))->mark(Marking::rules());
        self::assertSame($called, $mark->callBack['said'] !== []);
        self::assertStringContainsString($says, implode(' ', $mark->callBack['said']));
    }

    public function test_a_hint_is_the_same_for_faults_that_have_shown_the_same(): void
    {
        $hints = function (string $fault, array $entries): array {
            $seen = Attempt::run(
                Fixtures::furnace(),
                Fixtures::universe()->get($fault),
                Fixtures::log($entries),
                'cold',
                new Memory(),
            )->observations;
            $tracker = new Tracker(Fixtures::furnace(), Fixtures::universe(), 'cold', new Memory());
            $tracker->follow($seen);

            return [
                $seen,
                array_map(fn (string $grade) => (new Hint(Fixtures::furnace()))->of($grade, $tracker), Rules::HINTS),
            ];
        };
        $entries = [...array_slice(Fixtures::limitTrace(), 0, 6), ['at_s' => 40, 'act' => 'wait']];
        [$seen, $limit] = $hints('limit:stuck-open', $entries);
        [$other, $wire] = $hints('w20:open', $entries);
        self::assertSame(
            array_map(fn ($e) => $e[1]->seen, $seen->entries),
            array_map(fn ($e) => $e[1]->seen, $other->entries),
        );
        self::assertSame($limit, $wire);
        [, $igniter] = $hints('igniter:cracked', $entries);
        self::assertNotSame($limit[2], $igniter[2]);
        self::assertStringContainsString('would tell you the most now', $limit[2]);
        self::assertCount(3, array_unique($limit));
    }

    public function test_an_old_attempt_is_run_again_and_what_differs_is_told(): void
    {
        $log = Fixtures::log(Fixtures::limitTrace(), 9);
        $seen = Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get('limit:stuck-open'),
            $log,
            'cold',
            new Memory(),
        )->observations;
        $fault = Fixtures::universe()->get('limit:stuck-open');
        $bench = fn (): Bench => new Bench(Fixtures::furnace(), $fault, new Memory(), 9);
        self::assertSame([], Drift::of($bench(), $seen));
        $entries = $seen->entries;
        // as an engine that flashed otherwise had shown it
        $entries[3] = [$entries[3][0], new Outcome(['board lamp' => '3 flashes'])];
        $old = new Observations($seen->visit, $entries, $seen->perceived, $seen->until, $seen->complaint);
        $drift = Drift::of($bench(), $old);
        self::assertSame([3], array_column($drift, 'entry'));
        self::assertStringContainsString('3 flashes', $drift[0]['shown']);
        self::assertStringContainsString('4 flashes', $drift[0]['now']);
    }

    public function test_the_sheet_says_it_all_and_takes_nothing_for_markup(): void
    {
        $account = Marking::accountOf(Marking::worked('furnace-igniter-dc'));
        $head = [
            'title' => 'Debrief <b>',
            'who' => 'A & B',
            'model' => 'm',
            'fault' => 'Igniter: cracked, open',
            'when' => 'today',
        ];
        $html = Sheet::html(
            $head,
            Marker::of($account)->mark(Marking::rules())->toArray(),
            (new Debrief($account))->toArray(),
        );
        self::assertStringContainsString('Debrief &lt;b&gt;', $html);
        self::assertStringContainsString('A &amp; B', $html);
        self::assertStringContainsString('Volts DC on an AC circuit', $html);
        self::assertStringContainsString('the customer calls', $html);
        self::assertStringContainsString("follow the maker's instructions, local codes", $html);
        self::assertTrue((new \DOMDocument())->loadHTML($html, LIBXML_NOERROR));
    }
}
