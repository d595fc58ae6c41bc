<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Door;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Parts\Ability\Senses;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** What is within reach on an appliance as it stands, and what its doors, its wire ends and a look at it change. */
final readonly class Reach
{
    /** What a part in the hand feels, and over a flame, °F; °C where the supply is European. */
    private const IN_HAND = ['NA' => 70.0, 'EU' => 21.0];

    private const WARMED = ['NA' => 450.0, 'EU' => 230.0];

    /** @var array<string, true> parts of which something shows through the glass, or stands outside */
    private array $shows;

    private Model $model;

    public function __construct(Plan $plan)
    {
        $shows = [];
        foreach ($plan->percepts as $percept) {
            if ($percept['sense'] === 'sight' && in_array($percept['from'], ['outside', 'anywhere'], true)) {
                $shows[$percept['part']] = true;
            }
        }
        $this->shows = $shows;
        $this->model = $plan->model;
    }

    /** Whether a lead can get to a place: it is not behind a door that is shut, nor in the van. */
    public function reaches(BenchState $state, string $place): bool
    {
        return $this->behind($state, $this->ownerOf($place)) === null;
    }

    /** Why nothing can be done to a part: it is behind a door that is shut; null when it lies open. */
    public function behind(BenchState $state, string $part): ?string
    {
        return $this->away($state, $part) ?? $this->sentence($this->model->doors()->before($state->open, $part));
    }

    /** Why nothing can be done to a part from the van: it is there still. */
    private function away(BenchState $state, string $part): ?string
    {
        return $this->model->part($part)?->inVan === true && ! in_array($part, $state->installed, true)
            ? Words::say('acts.reach.that_is_in_the_van')
            : null;
    }

    /** The same of a lever of it, which may stick out of its door. */
    public function leverBehind(BenchState $state, string $part, string $lever): ?string
    {
        return $this->away($state, $part) ??
            $this->sentence($this->model->doors()->beforeLever($state->open, $part, $lever));
    }

    /** Why a door cannot be meant; null when it can, or when none is. */
    public function door(?string $id): ?string
    {
        return $id === null || $this->model->doors()->get($id) !== null
            ? null
            : Words::say('acts.reach.no_such_door', ['id' => $id]);
    }

    /** The part that a place is at: of a wire end, the one that it goes to. */
    public function ownerOf(string $place): string
    {
        return $this->model->partAt($place);
    }

    /** Why nothing can be done to a wire end; null when it can be got at. */
    public function end(BenchState $state, string $end): ?string
    {
        return $this->behind($state, $this->ownerOf($end));
    }

    /** Whether anything of a part can be seen: it lies open, or something of it shows through the glass of the door. */
    public function isInSight(BenchState $state, string $part): bool
    {
        return isset($this->shows[$part]) && $this->away($state, $part) === null || $this->reaches($state, "$part.");
    }

    /** Why nothing can be done to a part or a wire here and now; null when something can. */
    public function part(BenchState $state, string $id): ?string
    {
        if ($this->model->part($id) === null && $this->model->wire($id) === null) {
            return Words::say('acts.reach.there_is_no_part_called', ['id' => $id]);
        }

        return $this->behind($state, $this->model->part($id) !== null ? $id : $this->ownerOf("$id.a"));
    }

    /** Why something cannot be put to a place; null when it can. */
    public function place(BenchState $state, string $place, string $what): ?string
    {
        if (! $this->model->isPlace($place)) {
            return Words::say('acts.reach.there_is_no_place_called', ['place' => $place]);
        }

        $owner = $this->ownerOf($place);
        $door = $this->model->doors()->before($state->open, $owner);

        return $door === null
            ? $this->away($state, $owner)
            : Words::say('acts.reach.cannot_get_there_it_is', [
                'what' => $what,
                'called' => $this->model->doors()->called($door),
            ]);
    }

    /** The place at which the drawing has a wire end. */
    public function drawn(string $end): string
    {
        [$wire, $which] = Model::split($end);

        return $this->model->wires()[$wire]->at($which);
    }

    /** The place on which a wire end is by now, or from which it was lifted: that of the drawing, or another. */
    public function hangsOn(BenchState $state, string $end): string
    {
        $elsewhere = array_column($this->model->landedElsewhere(), 'on', 'end');
        foreach ([...$state->jumpers, ...$state->earlier] as [$from, $to]) {
            if ($from === $end && $this->model->isWireEnd($end)) {
                $elsewhere[$end] = $to;
            }
        }

        return $elsewhere[$end] ?? $this->drawn($end);
    }

    /** With a wire end landed, or lifted. */
    public function landed(BenchState $state, string $end, bool $landed): BenchState
    {
        [$wire, $which] = Model::split($end);

        return $state->withSlots(["$wire.body" => [$which => $landed]]);
    }

    /** With a part in the hand: its wires off it, what it feels the hand's. */
    public function takenOff(BenchState $state, string $part): BenchState
    {
        $ends = [];
        if ($this->model->part($part)?->kind->comesOff() === true) { // else its fuse alone is drawn
            $ends = array_values(array_filter($this->model->endsAt($part), $state->isLanded(...)));
        }
        foreach ($ends as $end) {
            $state = $this->landed($state, $end, false);
        }

        return $this->inHand($state->with(off: $state->off + [$part => $ends]), $part, false);
    }

    /** With a part that was off in its place again, its wires on it. */
    public function putBack(BenchState $state, string $part): BenchState
    {
        foreach ($state->off[$part] ?? [] as $end) {
            $state = $this->landed($state, $end, true);
        }

        return $this->feels($state->with(off: array_diff_key($state->off, [$part => 1])), $part, null);
    }

    /** With a part in the hand that feels the room, or is warmed. */
    public function inHand(BenchState $state, string $part, bool $isWarmed): BenchState
    {
        $kind = $this->model->part($part)?->kind;

        return $this->feels($state, $part, match (true) {
            $kind?->feelsHeat() !== true => 0.0, // no pressure, no water
            $isWarmed => self::WARMED[$this->model->region()],
            default => self::IN_HAND[$this->model->region()],
        });
    }

    /** Whether a part that shuts off power or fuel does: a switch or handle of it stands at off or shut. */
    public function isShutOff(BenchState $state, string $part): bool
    {
        foreach (array_keys($this->model->part($part)->kind->settings ?? []) as $lever) {
            if (in_array($state->at("$part.$lever"), ['off', 'shut', 'out'], true)) {
                return true;
            }
        }

        return isset($state->off[$part]); // its fuse is drawn
    }

    /** Whether both power and fuel are shut off somewhere, as far as the appliance has either. */
    public function isMadeSafe(BenchState $state): bool
    {
        $has = $shut = ['power' => false, 'fuel' => false];
        foreach ($this->model->parts() as $part) {
            $what = $part->kind->isSupply() ? 'power' : ($part->kind->isFuelSupply() ? 'fuel' : null);
            if ($what !== null && $part->kind->settings !== []) {
                $has[$what] = true;
                $shut[$what] = $shut[$what] || $this->isShutOff($state, $part->id);
            }
        }

        return $has === $shut;
    }

    /** With the switches of the doors as the doors and a hand have them. */
    public function interlocked(BenchState $state): BenchState
    {
        return $state->withSlots($this->model->doors()->switches($state->open, $state->held));
    }

    private function feels(BenchState $state, string $part, ?float $felt): BenchState
    {
        $sensors = array_keys($this->model->part($part)?->kind->those(Senses::class) ?? []);
        $away = ['away' => $felt];

        return $state->withSlots(
            array_fill_keys(array_map(fn (string $name): string => "$part.$name", $sensors), $away),
        );
    }

    private function sentence(?Door $door): ?string
    {
        return $door === null ? null : Words::say('acts.reach.that_is_behind', [
            'called' => $this->model->doors()->called($door),
        ]);
    }

    /** A look at a part shows the jumpers that somebody has left on it; from then on they are known. */
    public function noticed(BenchState $state, string $part): BenchState
    {
        [$jumpers, $earlier] = [$state->jumpers, []];
        foreach ($state->earlier as $jumper) {
            $owners = array_map(fn (string $place): string => Model::split($place)[0], $jumper);
            $isWire = $this->model->wire($owners[0]) !== null; // one on a wrong place is no jumper
            if (in_array($part, $owners, true) && ! $isWire && $this->reaches($state, "$part.")) {
                $jumpers[] = $jumper;
            } else {
                $earlier[] = $jumper;
            }
        }

        return $state->with(jumpers: $jumpers, earlier: $earlier);
    }
}
