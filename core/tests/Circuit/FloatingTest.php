<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What leads nowhere floats, whichever end of whichever wire it is: a meter of 10 MΩ shows a part of what it is held
 * against, one of low impedance next to nothing. Common practice, no source.
 */
final class FloatingTest extends TestCase
{
    private const HIGH = 1e-7;

    private const LOW = 1 / 3000;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            $supplies = array_filter((new Library())->model($name)->kinds(), fn (Kind $k): bool => $k->isSupply());
            if ($supplies !== []) { // beside what lives on a cold thermopile nothing is live
                yield $name => [$name];
            }
        }
    }

    #[DataProvider('models')]
    public function test_both_ends_of_a_wire_that_is_broken_inside_float_alike(string $name): void
    {
        $plan = TestRig::plan($name);
        $memory = new Memory();
        $hot = $this->hot($name);
        foreach ($plan->model->wires() as $wire) {
            $machine = new Machine($plan, ["$wire->id.body.open" => true], $memory);
            $state = $machine->settle($machine->initial());
            $shown = [];
            foreach (['a', 'b'] as $end) {
                $loose = $machine->settle($state->withSlots(["$wire->id.body" => [$end => false]]));
                $shown[$end] = $this->floats(
                    $machine,
                    $loose,
                    $plan->places["$wire->id.$end"],
                    $hot,
                    "$wire->id.$end",
                    ghost: $wire->cable !== null,
                );
            }
            if ($wire->cable === null) {
                self::assertEqualsWithDelta($shown['a'], $shown['b'], 0.01 * max($shown), "$name $wire->id");
            }
        }
    }

    #[DataProvider('models')]
    public function test_a_wire_that_is_lifted_at_both_ends_floats(string $name): void
    {
        $plan = TestRig::plan($name);
        $machine = new Machine($plan, [], new Memory());
        $state = $machine->settle($machine->initial());
        $hot = $this->hot($name);
        foreach ($plan->model->wires() as $wire) {
            $loose = $machine->settle($state->withSlots(["$wire->id.body" => ['a' => false, 'b' => false]]));
            foreach (['a', 'b'] as $end) {
                $this->floats(
                    $machine,
                    $loose,
                    $plan->places["$wire->id.$end"],
                    $hot,
                    "$wire->id.$end",
                    ghost: $wire->cable !== null,
                );
            }
        }
    }

    #[DataProvider('models')]
    public function test_nothing_on_a_board_is_without_a_way_to_earth(string $name): void
    {
        $plan = TestRig::plan($name);
        $machine = new Machine($plan, [], new Memory());
        $state = $machine->settle($machine->initial());
        $lifted = [];
        foreach ($plan->model->wires() as $wire) {
            $lifted["$wire->id.body"] = ['a' => false, 'b' => false];
        }
        $bare = $machine->settle($state->withSlots($lifted));
        $hot = $this->hot($name);
        $solution = $machine->solution($bare);
        foreach ($plan->model->parts() as $part) {
            foreach ($part->places() as $place) {
                if ($solution->acVolts($plan->places[$place], 0) < 1.0 && ! $part->kind->isSupply()) {
                    $this->floats($machine, $bare, $plan->places[$place], $hot, $place, leads: true);
                }
            }
        }
    }

    /** @return int the node of the supply that has the most volts to earth */
    private function hot(string $name): int
    {
        $plan = TestRig::plan($name);
        $machine = new Machine($plan, [], new Memory());
        $solution = $machine->solution($machine->settle($machine->initial()));
        $volts = array_map(fn (int $node): float => $solution->acVolts($node, 0), $plan->places);
        arsort($volts);

        return $plan->places[(string) array_key_first($volts)];
    }

    /**
     * Volts that a meter of high impedance shows between a loose node and a live one.
     *
     * @param bool $leads whether it may lead to earth by the metal of its part: then all of them are right
     * @param bool $ghost whether long wires lie beside it: a meter of high impedance is then little of a load
     */
    private function floats(
        Machine $machine,
        MachineState $state,
        int $node,
        int $hot,
        string $what,
        bool $leads = false,
        bool $ghost = false,
    ): float {
        $full = $machine->solution($state)->acVolts($hot, 0);
        $high = $machine->solution($state, [$hot, $node, self::HIGH])->acVolts($hot, $node);
        $low = $machine->solution($state, [$hot, $node, self::LOW])->acVolts($hot, $node);
        self::assertTrue(is_finite($high) && is_finite($low), $what);
        if (! $leads || $low < 0.9 * $full) {
            self::assertLessThan(($ghost ? 1.0 : 0.5) * $full, $high, "$what at 10 MΩ");
            self::assertLessThan(0.01 * $full, $low, "$what at low impedance");
        }

        return $high;
    }
}
