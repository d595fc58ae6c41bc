<?php

declare(strict_types=1);

namespace OddSpark\Tests\Run;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Only those are asked whose surroundings have changed where they look, and many not because of themselves: so that
 * nothing is missed, every one of them, asked again in a settled state, must stay what it is.
 */
final class AskedAgainTest extends TestCase
{
    private const RUNS_S = 1800;

    /** Every so many of a model's faults is run. */
    private const EVERY = 17;

    /** Every so many of the states of a run is asked again. */
    private const STATES = 5;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_whoever_is_asked_again_in_a_settled_state_stays_what_it_is(string $model): void
    {
        $plan = Compiler::compile((new Library())->model($model));
        $sets = [[]];
        foreach (array_values(FaultSet::of($plan->model)->faults) as $i => $fault) {
            if ($i % self::EVERY === 0) {
                $sets[] = $fault->set;
            }
        }
        $asked = 0;
        foreach ($sets as $set) {
            $memory = new Memory();
            $machine = new Machine($plan, $set, $memory);
            $again = new Machine($plan, $set, $memory);
            $ask = function (MachineState $state) use ($again, $set, &$asked): void {
                $asked++;
                $moved = array_filter(
                    $again->settle($state)->slots,
                    fn (array $slot, string $id): bool => $slot != $state->slots[$id],
                    ARRAY_FILTER_USE_BOTH,
                );
                self::assertSame([], array_keys($moved), json_encode($set)." at {$state->tick}");
            };
            $states = 0;
            $ask(
                $machine->advance(
                    $machine->settle($machine->initial()),
                    self::RUNS_S * 1000,
                    function (MachineState $state) use ($ask, &$states): bool {
                        if (++$states % self::STATES === 0) {
                            $ask($state);
                        }

                        return false;
                    },
                ),
            );
        }
        self::assertGreaterThanOrEqual(count($sets), $asked);
    }
}
