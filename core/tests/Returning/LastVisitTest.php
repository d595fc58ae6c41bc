<?php

declare(strict_types=1);

namespace OddSpark\Tests\Returning;

use OddSpark\Bench\Arrival;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Returning\LastVisit;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What somebody else did before, and what it makes of the suspects. */
final class LastVisitTest extends TestCase
{
    /** @return iterable<string, array{string, string, bool}> model, fault, and whether it ran when he left */
    public static function faults(): iterable
    {
        yield 'a relay that tires' => ['package-direct-spark', 'inducer-relay:tired', true];
        yield 'a coil that is open' => ['package-direct-spark', 'valve:coil-open', false];
        yield 'a weak breaker' => ['boiler-hydronic', 'breaker:weak', false];
        yield 'a broken coupling' => ['oil-furnace', 'motor:coupling', false];
    }

    #[DataProvider('faults')]
    public function test_he_replaces_a_part_that_was_good_and_writes_whether_it_ran(
        string $model,
        string $fault,
        bool $ran,
    ): void {
        [$last, $arrivals, $all] = self::last($model, $fault);
        $said = array_column($arrivals[$fault]->complaint, 'text', 'id');
        self::assertSame($ran, isset($said['last-ran']), implode(' ', $said));
        self::assertSame(! $ran, isset($said['last-ran-not']));
        self::assertNotNull($last->replaced);
        self::assertNull($all->get($fault)->in($last->replaced), 'what he replaced was good');
        self::assertArrayHasKey("last-replaced:$last->replaced", $said);
    }

    public function test_a_fault_in_the_part_that_was_replaced_is_not_struck_but_speaks_against_what_was_written(): void
    {
        [$last, $arrivals, $all] = self::last('package-direct-spark', 'valve:coil-open');
        $plan = TestRig::plan('package-direct-spark');
        $tracker = new Tracker($plan, $all, 'cold', new Memory(), $arrivals);
        $bench = new Bench($plan, $all->get('valve:coil-open'), new Memory(), 3);
        $bench->resume($arrivals['valve:coil-open']->state);
        $said = array_column($arrivals['valve:coil-open']->complaint, 'id');
        $seen = new \OddSpark\Bench\Observations('cold', [], $bench->record->until(0), 0, $said);
        $tracker->begin($seen);
        $shares = $tracker->suspects()->ranked();
        $isIn = fn (string $id): bool => $all->get($id)->in((string) $last->replaced) !== null;
        $inIt = array_filter($shares, $isIn, ARRAY_FILTER_USE_KEY);
        self::assertNotSame([], $inIt);
        self::assertLessThan(0.11, array_sum($inIt));
        self::assertGreaterThan(0.0, array_sum($inIt));
    }

    /** @return array{LastVisit, array<string, Arrival>, FaultSet} */
    private static function last(string $model, string $fault): array
    {
        $plan = TestRig::plan($model);
        $all = FaultSet::of($plan->model);
        $memory = new Memory();
        $visit = $plan->model->visits()[0];
        $arrivals = (new Tracker($plan, $all, $visit, $memory))->arrivals();
        $last = new LastVisit($plan, $all, $fault, $arrivals, $memory);

        return [$last, $last->arrivals(), $all];
    }
}
