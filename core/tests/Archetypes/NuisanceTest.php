<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Senses;
use OddSpark\Run\MachineState;
use OddSpark\Tests\Models;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two days of a healthy appliance: no safety acts, nothing locks out, and the rooms are kept as they are wanted. */
final class NuisanceTest extends TestCase
{
    private const HOURS = 48;

    /** What is done before that is the lighting of a pilot, s. */
    private const LIT_BY = 200;

    /** A room that is kept stands within this of what it is wanted to be, once it has come there, degrees. */
    private const KEPT = 4.0;

    #[DataProvider('models')]
    public function test_nothing_trips_in_two_days(string $name): void
    {
        $s = self::started($name);
        $guards = $locks = [];
        foreach ($s->plan->model->parts() as $part) {
            foreach ($part->kind->family->guards() === null ? [] : $part->specs() as $id => $spec) {
                if ($spec->can(Senses::class) && $spec->get('opens_at') > $spec->get('closes_at')) {
                    $guards[] = "{$part->id}.$id"; // opens on rise: heat, roll-out
                }
            }
            foreach ($part->specs() as $id => $spec) {
                if ($spec->can(Decides::class)) {
                    $locks[] = "{$part->id}.$id";
                }
            }
        }
        self::assertNotSame([], $locks + $guards, "$name has something to trip");
        $tripped = [];
        $s->state = $s->machine->advance(
            $s->state,
            self::HOURS * 3_600_000,
            function (MachineState $now) use ($guards, $locks, &$tripped): bool {
                foreach ($guards as $id) {
                    if (! $now->slots[$id]['made']) {
                        $tripped[$id] ??= $now->tick / 1000;
                    }
                }
                foreach ($locks as $id) {
                    if (str_contains((string) $now->slots[$id]['state'], 'lockout')) {
                        $tripped[$id] ??= $now->tick / 1000;
                    }
                }

                return false;
            },
        );
        self::assertSame([], $tripped, "$name: when it tripped, s");
        foreach ($s->plan->model->household()->rooms as $room) {
            self::assertEqualsWithDelta($room['wants'], $s->value($room['of']), self::KEPT, "$name {$room['name']}");
        }
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(4);
    }

    /** With its pilot lit by hand, where it has one that is: as the household does at the start of its first visit. */
    private static function started(string $name): TestRig
    {
        $s = TestRig::of($name);
        $visit = $s->plan->model->document['visits'][$s->plan->model->visits()[0]];
        $now = 0.0;
        foreach ($visit['household'] as $step) {
            if ($step['at_s'] > self::LIT_BY) {
                break;
            }
            $s->run($step['at_s'] - $now)->set("{$step['part']}.{$step['lever']}", $step['to']);
            $now = $step['at_s'];
        }

        return $s;
    }
}
