<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Bench\Arrival;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** How faults would be found, run in one process and in several. */
final class ArrivalsTest extends TestCase
{
    public function test_in_several_processes_the_same_is_found_in_the_same_order(): void
    {
        $plan = TestRig::plan('furnace-80');
        $all = FaultSet::of($plan->model);
        $some = $all->only(array_slice(array_keys($all->faults), 0, 23));
        $found = [];
        foreach ([1, 3] as $processes) {
            $told = [];
            $arrivals = (new Tracker($plan, $some, 'cold', new Memory()))->arrivals(
                function (int $done, int $of) use (&$told): void {
                    $told[] = [$done, $of];
                },
                $processes,
            );
            self::assertSame([0, 23], $told[0]);
            $found[] = array_map(fn (Arrival $a): string => (string) json_encode($a->toArray()), $arrivals);
        }
        self::assertSame(array_keys($some->faults), array_keys($found[0]));
        self::assertSame($found[0], $found[1]);
    }
}
