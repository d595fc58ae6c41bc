<?php

declare(strict_types=1);

namespace OddSpark\Tests\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Marking\Rules;
use OddSpark\WiringUp\Advice;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Replay;
use OddSpark\WiringUp\Task;
use OddSpark\WiringUp\Verdict;
use PHPUnit\Framework\TestCase;

/** What a judged wiring is marked with, what is told of it, and what hints say. */
final class VerdictTest extends TestCase
{
    private const MODEL = 'boiler-hydronic';

    private static ?Judge $judge = null;

    public function test_a_sound_wiring_has_the_whole_mark(): void
    {
        $mark = self::wired([], [])->mark(self::rules());
        self::assertSame(100.0, $mark->total());
        self::assertTrue($mark->passed());
        self::assertSame('wired', $mark->verdict);
        self::assertSame(['works', 'guards', 'code', 'care'], array_column($mark->toArray()['lines'], 'id'));
    }

    public function test_nothing_wired_is_worth_nothing(): void
    {
        $mark = self::judge()->of(Task::of((new Library())->model(self::MODEL), 'all', 0)->bare())->mark(self::rules());
        self::assertLessThan(5.0, $mark->total());
        self::assertFalse($mark->passed());
    }

    public function test_a_bridged_safety_never_passes(): void
    {
        $mark = self::wired([], [['high.a', 'high.b']])->mark(self::rules());
        self::assertFalse($mark->passed());
        self::assertSame('unguarded', $mark->verdict);
        self::assertContains('unguarded', $mark->caps);
        self::assertLessThanOrEqual(0.25, $mark->line('guards')->share);
        self::assertSame(1.0, $mark->line('works')->share, 'the sequence by itself runs');
        self::assertStringContainsString('High limit', $mark->line('guards')->why[1]['text']);
    }

    public function test_a_missing_ground_is_against_the_usual_way(): void
    {
        $mark = self::wired(['w15'], [])->mark(self::rules());
        self::assertSame(1.0, $mark->line('works')->share);
        self::assertSame(0.75, $mark->line('code')->share);
        self::assertStringContainsString('Circulator frame', $mark->line('code')->why[0]['text']);
    }

    public function test_a_safety_in_the_neutral_is_against_the_usual_way(): void
    {
        // the service switch opens the neutral of all that it should switch
        $verdict = self::wired(['w02', 'w03', 'w04'], [
            ['breaker.load', 'cut-off.a'], ['panel.N', 'service.line'], ['service.load', 'n-nut.in'],
        ]);
        self::assertTrue($verdict->isRight(), implode(' ', $verdict->first()?->sentences() ?? []));
        self::assertNotSame([], $verdict->against);
    }

    public function test_what_was_unsafe_counts_and_is_told(): void
    {
        $mark = self::wired([], [])->mark(self::rules(), ['live-work']);
        self::assertSame(0.5, $mark->line('care')->share);
        self::assertStringContainsString('line voltage', $mark->line('care')->why[0]['text']);
        self::assertFalse($mark->passed());
    }

    public function test_hints_tell_more_by_grade(): void
    {
        $task = new Task((new Library())->model(self::MODEL), ['w20']);
        $advice = new Advice($task);
        $verdict = self::judge()->of($task->bare());
        $said = array_map(fn (string $grade): string => $advice->of($grade, $verdict), Rules::HINTS);
        self::assertCount(3, array_unique($said));
        self::assertStringContainsString('Gas valve', $said[0]);
        self::assertStringContainsString('no volts', $said[1]);
        self::assertSame('Ignition module PV and Gas valve PV belong together.', $said[2]);

        $right = self::judge()->of($task->with($task->drawn()));
        self::assertSame('Everything does what it should.', $advice->of('where', $right));
    }

    public function test_a_wire_that_should_not_be_there_is_hinted_at(): void
    {
        $task = new Task((new Library())->model(self::MODEL), []);
        $verdict = self::judge()->of($task->with([['from' => 'high.a', 'to' => 'high.b']]));
        self::assertSame(
            'High limit a and High limit b do not belong together.',
            (new Advice($task))->of('reading', $verdict),
        );
    }

    public function test_what_went_wrong_is_there_to_be_looked_at(): void
    {
        $verdict = self::wired([], [['high.a', 'high.b']]);
        $replay = new Replay($verdict, self::judge());
        self::assertNotSame([], $replay->begins);
        foreach ($replay->begins as $i => $begin) {
            self::assertFalse($verdict->tried[$i]->isRight());
            self::assertGreaterThan(self::judge()->end(), $begin);
        }
        foreach ($replay->perceived as $stretches) {
            $from = array_column($stretches, 0);
            $sorted = $from;
            sort($sorted);
            self::assertSame($sorted, $from);
        }
    }

    public function test_a_portion_of_the_wires_is_missing(): void
    {
        $sound = (new Library())->model(self::MODEL);
        $all = Task::of($sound, 'all', 0);
        self::assertCount(count($sound->wires()), $all->missing);
        $control = Task::of($sound, 'control', 0);
        self::assertContains('w20', $control->missing, '24 V to the valve');
        self::assertNotContains('w13', $control->missing, '120 V to the circulator');
        self::assertNotContains('w15', $control->missing, 'a ground');
        $some = Task::of($sound, 'some', 1);
        self::assertCount(intdiv(count($sound->wires()), 3), $some->missing);
        self::assertNotSame($some->missing, Task::of($sound, 'some', 2)->missing);
        self::assertSame($some->missing, Task::of($sound, 'some', 1)->missing);
    }

    /**
     * @param list<string> $off
     * @param list<array{string, string}> $lay
     */
    private static function wired(array $off, array $lay): Verdict
    {
        $laid = array_map(fn (array $l): array => ['from' => $l[0], 'to' => $l[1]], $lay);

        return self::judge()->of((new Task((new Library())->model(self::MODEL), $off))->with($laid));
    }

    private static function judge(): Judge
    {
        $sound = (new Library())->model(self::MODEL);

        return self::$judge ??= new Judge(Compiler::compile($sound), $sound->visits()[0]);
    }

    private static function rules(): Rules
    {
        return Rules::of((new Library())->rules('first-year'));
    }
}
