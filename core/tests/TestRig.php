<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Trade\Response;

/** An appliance on the test stand: runs, levers moved, places measured, without anybody's meter. */
final class TestRig
{
    /** @var array<string, Plan> */
    private static array $plans = [];

    public readonly Plan $plan;

    public readonly Machine $machine;

    /** @var array{tick: int, slots: array<string, array<string, mixed>>} */
    public MachineState $state;

    /** @param array<string, mixed> $set */
    private function __construct(Plan $plan, array $set)
    {
        $this->plan = $plan;
        $this->machine = new Machine($plan, $set, new Memory());
        $this->state = $this->machine->settle($this->machine->initial());
    }

    public static function plan(string $name): Plan
    {
        return self::$plans[$name] ??= Compiler::compile((new Library())->model($name));
    }

    /** @param array<string, mixed> $set what differs from the healthy appliance */
    public static function of(string $name, array $set = []): self
    {
        return new self(self::plan($name), $set);
    }

    /** @param array<string, mixed> $set */
    public static function ofModel(Model $model, array $set = []): self
    {
        return new self(Compiler::compile($model), $set);
    }

    /** With a fault of the model's own, and its household's first doings, such as lighting a pilot. */
    public static function withFault(string $name, string $fault): self
    {
        $plan = self::plan($name);
        $found = \OddSpark\Faults\FaultSet::of($plan->model)->get($fault);
        $stand = new self($plan, $found->set);
        $jumpers = array_map(fn (array $j) => [$plan->places[$j[0]], $plan->places[$j[1]]], $found->jumpers);
        $stand->state = $stand->machine->settle(
            $stand->machine->initial()->with(joined: Machine::jumpers($jumpers)),
        );

        return $stand;
    }

    /** Goes on by seconds. */
    public function run(float $seconds): self
    {
        $this->state = $this->machine->advance($this->state, $this->state->tick + (int) round(1000 * $seconds));

        return $this;
    }

    /** Goes on until something is so, at most for some seconds; seconds that it took, or null if it never was. */
    public function until(callable $is, float $most): ?float
    {
        $from = $this->state->tick;
        if ($is($this)) {
            return 0.0;
        }
        $found = false;
        $this->state = $this->machine->advance($this->state, $from + (int) round(1000 * $most), function (
            MachineState $s,
        ) use ($is, &$found): bool {
            $this->state = $s;

            return $found = (bool) $is($this);
        });

        return $found ? ($this->state->tick - $from) / 1000 : null;
    }

    public function set(string $lever, string|float|int $at): self
    {
        $this->state = $this->state->withSlots([$lever => ['at' => $at]]);
        $this->state = $this->machine->settle($this->state);

        return $this;
    }

    public function lift(string $end): self
    {
        [$wire, $which] = Model::split($end);
        $this->state = $this->state->withSlots(["$wire.body" => [$which => false]]);
        $this->state = $this->machine->settle($this->state);

        return $this;
    }

    public function reset(string $primitive): self
    {
        $this->state = $this->state->withSlots([$primitive => ['latched' => false]]);
        $this->state = $this->machine->settle($this->state);

        return $this;
    }

    /** A process value set by an outside hand: a room that was heated, a level that fell. */
    public function put(string $process, float $value): self
    {
        $this->state = $this->state->withSlots([
            $process => [
                'course' => Response::still($this->state->tick, $value),
                'aim' => null,
                'sampled' => [],
                'leader' => null,
            ],
        ]);
        $this->state = $this->machine->settle($this->state);

        return $this;
    }

    public function slot(string $id, string $key): mixed
    {
        return $this->state->slots[$id][$key];
    }

    /** @param string $process or a tap where it is measured */
    public function value(string $process): float
    {
        $of = $this->plan->model->tap($process)->of ?? $process; // by the name of its tap, where there is one

        return Response::at($this->state->slots[$of]['course'], $this->state->tick);
    }

    public function volts(string $a, string $b): float
    {
        return $this->machine->solution($this->state)->acVolts($this->plan->places[$a], $this->plan->places[$b]);
    }

    public function dc(string $a, string $b): float
    {
        return $this->machine->solution($this->state)->dcVolts($this->plan->places[$a], $this->plan->places[$b]);
    }

    public function isLit(string $burner = 'burners.fire'): bool
    {
        return $this->slot($burner, 'lit');
    }
}
