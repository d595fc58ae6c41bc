<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Observations;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;

/** Short ways from acts to an account and a mark. */
final class Marking
{
    /** @var array<string, array<string, Arrival>> by model and visit: the same for every attempt */
    private static array $arrivals = [];

    /** States that are kept of each plan, so that thirty plans have room. */
    private const KEPT = 1000;

    /** @var \WeakMap<Plan, Memory>|null solved states of each plan, which are the same for every attempt on it */
    private static ?\WeakMap $memories = null;

    /** @param array<string, mixed> $with what differs from the shipped rules */
    public static function rules(string $name = 'first-year', array $with = []): Rules
    {
        return Rules::of(array_replace_recursive((new Library())->rules($name), $with));
    }

    /** @param list<array<string, mixed>> $entries */
    public static function ofFurnace(string $fault, array $entries, string $visit = 'cold', ?Rules $rules = null): Mark
    {
        return Marker::of(self::accountOfFurnace($fault, $entries, $visit))->mark($rules ?? self::rules());
    }

    /** @param list<array<string, mixed>> $entries */
    public static function accountOfFurnace(string $fault, array $entries, string $visit = 'cold'): AttemptReview
    {
        $seen = Attempt::run(
            Fixtures::furnace(),
            Fixtures::universe()->get($fault),
            Fixtures::log($entries),
            $visit,
            new Memory(),
        )->observations;

        return self::account(Fixtures::furnace(), Fixtures::universe(), $fault, $seen);
    }

    public static function mark(
        Plan $plan,
        FaultSet $faultSet,
        string $fault,
        Observations $seen,
        ?Rules $rules = null,
    ): Mark {
        return Marker::of(self::account($plan, $faultSet, $fault, $seen))->mark($rules ?? self::rules());
    }

    public static function account(Plan $plan, FaultSet $faultSet, string $fault, Observations $seen): AttemptReview
    {
        self::$memories ??= new \WeakMap();
        $memory = self::$memories[$plan] ??= new Memory(self::KEPT);
        $key = "$plan->hash $seen->visit ".hash('xxh3', implode(' ', array_keys($faultSet->faults)));
        self::$arrivals[$key] ??= (new Tracker($plan, $faultSet, $seen->visit, $memory))->arrivals();

        return new AttemptReview(
            $plan,
            $faultSet,
            $faultSet->get($fault),
            $seen,
            new Tracker($plan, $faultSet, $seen->visit, $memory, self::$arrivals[$key]),
            $memory,
        );
    }

    /** @return array<string, mixed> one of tests/worked */
    public static function worked(string $name): array
    {
        return json_decode((string) file_get_contents(__DIR__."/../worked/$name.json"), true, 32, JSON_THROW_ON_ERROR);
    }

    /** @param array<string, mixed> $worked */
    public static function accountOf(array $worked): AttemptReview
    {
        $plan = TestRig::plan($worked['model']);
        $faultSet = FaultSet::of($plan->model);
        $stops = self::rules($worked['rules'])->stops;
        $log = Fixtures::log($worked['entries'], $worked['seed'] ?? 7);
        $seen = Attempt::run(
            $plan,
            $faultSet->get($worked['fault']),
            $log,
            $worked['visit'],
            new Memory(),
            null,
            Kit::of($worked['kit'] ?? []),
            $stops,
        )->observations;

        return self::account($plan, $faultSet, $worked['fault'], $seen);
    }
}
