<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\Carries;
use OddSpark\Parts\Ability\Glows;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Parts\Ability\Sparks;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Parts\Primitive\SparkGap;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;

/**
 * What acts would have done to a person or a house in life, seen from the appliance as it stands: ids of {@see Danger}.
 */
final readonly class Risk
{
    /** From here on a shock. */
    private const LIVE_V = 50.0;

    /** In. w.c. or psi in a part, from which on fuel comes out of it. */
    private const UNDER_PRESSURE = 0.1;

    /** The lever of the valves on both sides of a pump. */
    private const ISOLATING = 'valves';

    /** Trials without a light from which on the fuel should have been shut: more than a control makes by itself. */
    public const RAW_TRIALS = 5;

    public function __construct(private Plan $plan) {}

    /** Trials without a light, all burners together, since they last burnt. */
    public function rawTrials(BenchState $state): int
    {
        $raw = 0;
        foreach ($this->plan->those(Burns::class) as $id) {
            $raw += $state->slots[$id]['raw'];
        }

        return $raw;
    }

    /**
     * Hands on a part or a wire, and on some places beside.
     *
     * @param list<string> $places
     * @return list<string>
     */
    public function hands(Situation $now, string $owner, array $places = []): array
    {
        $own = array_filter(array_keys($this->plan->places), fn (string $p): bool => str_starts_with($p, "$owner."));
        $live = $this->touched($now, [...$places, ...$own]);
        if ($live !== []) {
            return $live;
        }
        foreach ($this->plan->those(HoldsCharge::class) as $id) {
            if ($now->state->slots[$id]['charge'] > self::LIVE_V && $this->isAt($owner, Model::split($id)[0])) {
                return ['charged-capacitor'];
            }
        }

        return [];
    }

    /**
     * @param list<string> $places
     * @return list<string>
     */
    public function touched(Situation $now, array $places): array
    {
        return $this->isLive($now->machine, $now->state, $places)
            ? ['live-work']
            : $this->sparked($now->machine, $now->state, $places);
    }

    /**
     * Whether there is line voltage at any of some places.
     *
     * @param list<string> $places
     */
    public function isLive(Machine $machine, BenchState $state, array $places): bool
    {
        $solution = $machine->solution($state);
        foreach ($places as $place) {
            if ($solution->acVolts($this->plan->places[$place], 0) > self::LIVE_V) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a spark jumps to whoever is at some places: they are on a lead that fires.
     *
     * @param list<string> $places
     * @return list<string>
     */
    public function sparked(Machine $machine, BenchState $state, array $places): array
    {
        foreach ($this->plan->those(Sparks::class) as $id) {
            $from = $this->plan->primitives[$id]['nodes']['from'] ?? null;
            foreach ($from !== null && $state->slots[$id]['on'] ? $places : [] as $place) {
                if ($machine->solution($state)->dcOhms($from, $this->plan->places[$place]) < SparkGap::JUMPS_OHM) {
                    return ['spark-lead'];
                }
            }
        }

        return [];
    }

    /**
     * What a jumper does away with: a safety, or the control before a fuel valve; also one that stops something else.
     *
     * @return list<string>
     */
    public function bridged(Situation $now, string $from, string $to): array
    {
        $found = Bypass::by(
            $now->model,
            [...$now->state->jumpers, ...$now->state->earlier],
            [$from, $to],
            array_map(strval(...), array_keys($now->state->off)),
        );
        $part = Model::split($from)[0];
        $isWithin = $part === Model::split($to)[0];
        if ($isWithin && $now->model->kindOf($part)?->guards() !== null) {
            $found[] = 'safety-jumpered';
        }

        return array_values(array_unique($found));
    }

    /**
     * What comes out of a part that is opened: water that is not shut off on both sides, fuel that stands in it under
     * pressure. A motor comes off its pump, which stays on the line.
     *
     * @return list<string>
     */
    public function opened(Situation $now, string $part): array
    {
        $kind = $now->model->kindOf($part);
        if (isset($kind->settings[self::ISOLATING]) && $now->state->at("$part.".self::ISOLATING) === 'open') {
            return ['water-opened'];
        }
        if ($kind?->those(Turns::class) !== []) {
            return [];
        }
        foreach ($kind->ports as $port) {
            $danger = match ($port->medium) {
                Medium::Gas => 'gas-opened',
                Medium::Oil => 'oil-opened',
                default => null,
            };
            foreach ($danger === null ? [] : $kind->those(Carries::class) as $name => $spec) {
                $run = $now->state->slots["$part.$name"] ?? [];
                if (max($run['from'] ?? 0.0, $run['to'] ?? 0.0) > self::UNDER_PRESSURE) {
                    return [$danger];
                }
            }
        }

        return [];
    }

    /**
     * Hands on the carrier of a fuse in the supply: shrouded, and safe to draw with its own switch off; elsewhere what
     * hands on the part are.
     *
     * @return list<string>
     */
    public function drawing(Situation $now, string $part): array
    {
        return $now->model->part($part)?->kind->isSupply() === true && $now->reach->isShutOff($now->state, $part)
            ? []
            : $this->hands($now, $part);
    }

    /** Whether a part glows. */
    public function burns(Situation $now, string $part): bool
    {
        foreach (array_keys($now->model->kindOf($part)?->those(Glows::class) ?? []) as $name) {
            if ($now->machine->shows($now->state, "$part.$name") !== '') {
                return true;
            }
        }

        return false;
    }

    /** Whether a part is the one in hand, or the wire in hand goes to it. */
    private function isAt(string $owner, string $part): bool
    {
        return $owner === $part || $this->plan->model->wire($owner)?->goesTo($part) === true;
    }
}
