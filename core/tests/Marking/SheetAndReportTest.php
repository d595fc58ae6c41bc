<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\GoodHabits;
use OddSpark\Marking\Line;
use OddSpark\Marking\Marker;
use OddSpark\Marking\OwnSheet;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a trainee writes himself, the rows of a sheet and the closing report, against what was read and done. */
final class SheetAndReportTest extends TestCase
{
    /** The igniter found by volts, taken off, replaced, and run: entries 0 to 14. */
    private const WORK = [
        ['at_s' => 1, 'act' => 'look', 'part' => 'board'],
        ['at_s' => 3, 'act' => 'look', 'part' => 'thermostat'],
        ['at_s' => 9, 'act' => 'door', 'to' => 'open'],
        ['at_s' => 12, 'act' => 'hold', 'to' => 'held'],
        ['at_s' => 15, 'act' => 'leads', 'red' => 'igniter.1', 'black' => 'igniter.2'],
        ['at_s' => 45, 'act' => 'read'],
        ['at_s' => 51, 'act' => 'hold', 'to' => 'released'],
        ['at_s' => 54, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
        ['at_s' => 57, 'act' => 'lift', 'end' => 'w30.b'],
        ['at_s' => 60, 'act' => 'dial', 'mode' => 'ohm'],
        ['at_s' => 63, 'act' => 'leads', 'red' => 'igniter.1', 'black' => 'igniter.2'],
        ['at_s' => 69, 'act' => 'mend', 'part' => 'igniter', 'how' => 'replace'],
        ['at_s' => 71, 'act' => 'read'],
        ['at_s' => 72, 'act' => 'land', 'end' => 'w30.b'],
        ['at_s' => 73, 'act' => 'tell', 'about' => 'found'],
    ];

    private const FED = 5;

    private const NEW_ONE = 12;

    /**
     * Among a few suspects, as nothing here asks for the trace.
     *
     * @param list<array<string, mixed>> $entries
     */
    private function account(array $entries): AttemptReview
    {
        $few = [
            'healthy',
            'igniter:cracked',
            'igniter:aged',
            'w30:open',
            'w31:open',
            'valve:coil-open',
            'cock:shut',
            'breaker:tripped',
        ];
        $faults = Fixtures::universe()->only(
            array_values(array_intersect($few, array_keys(Fixtures::universe()->faults))),
        );
        $seen = Attempt::run(
            Fixtures::furnace(),
            $faults->get('igniter:cracked'),
            Fixtures::log($entries),
            'cold',
            new Memory(),
        )->observations;

        return Marking::account(Fixtures::furnace(), $faults, 'igniter:cracked', $seen);
    }

    /** @return iterable<string, array{array<string, mixed>, string|null}> a row, and what is said of it */
    public static function rows(): iterable
    {
        $at = ['red' => 'igniter.1', 'black' => 'igniter.2'];
        yield 'as it was read' => [['value' => '121.0', 'unit' => 'V AC'] + $at, null];
        yield 'rounded' => [['value' => '121', 'unit' => 'V AC'] + $at, null];
        yield 'leads named the other way round' => [
            ['value' => '121', 'unit' => 'V AC', 'red' => 'igniter.2', 'black' => 'igniter.1'],
            null,
        ];
        yield 'open' => [['value' => 'OL', 'unit' => 'Ω'] + $at, null];
        yield 'misread' => [['value' => '112', 'unit' => 'V AC'] + $at, 'Misread'];
        yield 'another unit' => [['value' => '121.0', 'unit' => 'V DC'] + $at, 'Wrong unit'];
        yield 'another place' => [
            ['value' => '121.0', 'unit' => 'V AC', 'red' => 'valve.MV', 'black' => 'valve.MVC'],
            'Wrong place',
        ];
        yield 'made up' => [
            ['value' => '24.3', 'unit' => 'µA', 'red' => 'rod.rod', 'black' => 'screw.screw'],
            'Nothing like',
        ];
    }

    /** @param array<string, mixed> $row */
    #[DataProvider('rows')]
    public function test_a_row_is_held_against_what_the_display_said(array $row, ?string $said): void
    {
        $account = $this->account([
            ...self::WORK,
            ['at_s' => 80, 'act' => 'write_down'] + $row,
        ]);
        $wrong = (new OwnSheet($account))->wrong();
        if ($said === null) {
            self::assertSame([], $wrong);
        } else {
            self::assertStringStartsWith($said, $wrong[count(self::WORK)]);
        }
    }

    public function test_it_counts_only_where_the_house_has_one_keep_his_own_sheet(): void
    {
        $account = $this->account([
            ...self::WORK,
            ['at_s' => 80, 'act' => 'write_down', 'value' => '12', 'unit' => 'V AC'],
        ]);
        $share = fn (bool $own): float => Marker::of($account)
            ->mark(Marking::rules(with: ['own_sheet' => $own]))
            ->line('technique')->share;
        self::assertEqualsWithDelta(0.25, $share(false) - $share(true), 1e-9, 'one slip more');
        $without = Marker::of($this->account(self::WORK));
        $why = $without->mark(Marking::rules(with: ['own_sheet' => true]))->line('technique')->why;
        self::assertContains('Nothing that was read was written down.', array_column($why, 'text'));
    }

    /** @param array<string, mixed> $report */
    private function report(array $report): Line
    {
        $entries = [...self::WORK, ['at_s' => 90, 'act' => 'report'] + $report];

        return Marker::of($this->account($entries))
            ->mark(Marking::rules(with: ['weights' => ['report' => 10]]))
            ->line('report');
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string}> what is wrong in a report, and what is said of it
     */
    public static function faulty(): iterable
    {
        yield 'another cause' => [['cause' => 'valve'], 'The cause that it names was not the cause.'];
        yield 'no cause' => [['cause' => null], 'It names no cause.'];
        yield 'work left out' => [['done' => []], 'It leaves out work on Igniter.'];
        yield 'work made up' => [['done' => ['igniter', 'valve']], 'It tells of work that was not done: Gas valve.'];
        yield 'nothing before' => [['before' => null], 'It gives nothing that was read before the work.'];
        yield 'a reading that says nothing' => [['before' => 0], 'What it gives as read before shows nothing wrong.'];
        yield 'before, read after' => [
            ['before' => self::NEW_ONE],
            'What it gives as read before the work was read after it.',
        ];
        yield 'after, read before' => [
            ['after' => self::FED],
            'What it gives as read after the work was read before it.',
        ];
        yield 'no reading at all' => [['after' => 13], 'What it gives as read after the work is no reading.'];
        yield 'more parts' => [['parts' => 2], '1 parts were put in, and it says 2.'];
        yield 'hours' => [['minutes' => 180], 'it says 180.'];
    }

    private const RIGHT = [
        'cause' => 'igniter', 'done' => ['igniter'], 'before' => 10, 'after' => self::NEW_ONE, 'parts' => 1,
        'minutes' => 26, 'words' => 'Igniter open, replaced.',
    ];

    public function test_a_report_that_is_as_it_was_is_whole(): void
    {
        $line = $this->report(self::RIGHT);
        self::assertSame(['It is as it was.'], array_column($line->why, 'text'));
        self::assertSame(1.0, $line->share);
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('faulty')]
    public function test_what_a_report_has_wrong_is_said(array $with, string $said): void
    {
        $report = array_filter($with + self::RIGHT, fn (mixed $value): bool => $value !== null);
        $line = $this->report($report);
        self::assertEqualsWithDelta(5 / 6, $line->share, 1e-9);
        self::assertStringEndsWith($said, $line->why[0]['text']);
    }

    public function test_without_a_report_the_line_is_lost_where_the_house_has_it(): void
    {
        $mark = Marker::of($this->account(self::WORK));
        self::assertSame(
            0.0,
            $mark->mark(Marking::rules(with: ['weights' => ['report' => 10]]))->line('report')->share,
        );
        $this->expectException(\OutOfBoundsException::class);
        $mark->mark(Marking::rules())->line('report');
    }

    /** @return iterable<string, array{string, list<array<string, mixed>>}> a habit, and acts that show it */
    public static function habits(): iterable
    {
        $leads = fn (int $s, string $red, string $black): array => [
            'at_s' => $s, 'act' => 'leads', 'red' => $red, 'black' => $black,
        ];
        $open = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
        $off = ['at_s' => 40, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'];
        yield 'foretold' => ['foretold', [
            ...$open, ['at_s' => 5, 'act' => 'expect', 'value' => 26], $leads(6, 'board.R', 'board.C'),
        ]];
        yield 'leads on themselves' => ['leads-proved', [
            ...$open, ['at_s' => 5, 'act' => 'dial', 'mode' => 'ohm'], $leads(6, 'igniter.1', 'igniter.1'),
        ]];
        yield 'live, nothing, live' => ['leads-proved', [
            ...$open, $leads(6, 'board.R', 'board.C'), $leads(
                8,
                'valve.MV',
                'valve.MVC',
            ), $leads(10, 'board.R', 'board.C'),
        ]];
        yield 'watched twice' => ['watched-twice', [
            ...$open, $leads(6, 'inducer.L', 'inducer.N'), ['at_s' => 60, 'act' => 'read'],
        ]];
        yield 'read before hands' => ['zero-first', [
            ...$open, $leads(6, 'igniter.1', 'igniter.2'), $off, ['at_s' => 45, 'act' => 'read'],
            ['at_s' => 50, 'act' => 'mend', 'part' => 'igniter', 'how' => 'replace'],
        ]];
        yield 'next to it' => ['compared', [
            ...$open, $leads(20, 'rollout-l.a', 'rollout-l.b'), $leads(22, 'rollout-r.a', 'rollout-r.b'),
        ]];
        yield 'before and after' => ['before-and-after', [
            ...$open, $leads(20, 'igniter.1', 'igniter.2'), $off,
            ['at_s' => 50, 'act' => 'mend', 'part' => 'igniter', 'how' => 'replace'], ['at_s' => 60, 'act' => 'read'],
        ]];
        yield 'looked further' => ['next-cause', [
            ...$open, $off, ['at_s' => 50, 'act' => 'mend', 'part' => 'igniter', 'how' => 'replace'],
            ['at_s' => 60, 'act' => 'look', 'part' => 'inducer'],
        ]];
    }

    /** @param list<array<string, mixed>> $entries */
    #[DataProvider('habits')]
    public function test_a_good_habit_is_told_where_the_log_shows_it(string $habit, array $entries): void
    {
        $with = (new GoodHabits($this->account($entries)))->shown();
        self::assertArrayHasKey($habit, $with);
        $without = (new GoodHabits($this->account(array_slice($entries, 0, 2))))->shown();
        self::assertArrayNotHasKey($habit, $without);
    }

    public function test_one_act_that_leaves_half_of_what_stood_is_told(): void
    {
        $look = ['at_s' => 1, 'act' => 'look', 'part' => 'board'];
        $dark = new GoodHabits(Marking::accountOfFurnace('transformer:primary-open', [$look])); // 39 stood, 26 after it
        self::assertSame(['halved' => 0], $dark->shown());
        self::assertSame([], (new GoodHabits(Marking::accountOfFurnace('igniter:cracked', [$look])))->shown());
    }

    public function test_habits_weigh_only_where_the_house_has_them_do_so(): void
    {
        $marker = Marker::of($this->account(self::WORK));
        $told = $marker->mark(Marking::rules())->toArray()['habits'];
        self::assertNotSame([], $told, 'told in any case');
        $line = $marker->mark(Marking::rules(with: ['weights' => ['habits' => 5]]))->line('habits');
        self::assertEqualsWithDelta(min(1.0, count($told) / 3), $line->share, 1e-9);
        self::assertSame($told, $line->why);
    }
}
