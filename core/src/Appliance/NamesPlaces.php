<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/** Places of a model: terminals of parts and ends of wires, and how they are called. */
trait NamesPlaces
{
    /** @return list<string> ends of wires that the drawing has on a part */
    public function endsAt(string $part): array
    {
        $ends = [];
        foreach ($this->wires() as $id => $wire) {
            foreach (['a', 'b'] as $end) {
                if (self::split($wire->at($end))[0] === $part) {
                    $ends[] = "$id.$end";
                }
            }
        }

        return $ends;
    }

    /** The part that a place is at: of a wire end, the one that it goes to. */
    public function partAt(string $place): string
    {
        return $this->ends[$place] ?? self::split($place)[0];
    }

    /** Whether a lead can be put there: a terminal, or the end of a wire. */
    public function isPlace(string $place): bool
    {
        [$owner, $name] = self::split($place);
        $part = $this->part($owner);

        return $part !== null ? isset($part->kind->terminals[$name]) : $this->isWireEnd($place);
    }

    public function isWireEnd(string $place): bool
    {
        [$wire, $end] = self::split($place);

        return isset($this->wires[$wire]) && in_array($end, ['a', 'b'], true);
    }

    /**
     * A place's owner and what it is there: ids are hierarchical, so the last dot parts them.
     *
     * @return array{string, string} "boiler.limit", "a"; the second is '' for an owner alone
     */
    public static function split(string $place): array
    {
        $dot = strrpos($place, '.');

        return $dot === false ? [$place, ''] : [substr($place, 0, $dot), substr($place, $dot + 1)];
    }

    /**
     * What a person calls a place: "Limit a", "yellow wire at Limit b".
     */
    public function placeName(string $place): string
    {
        [$owner, $end] = self::split($place);
        $wire = $this->wire($owner);
        if ($wire !== null) {
            return Words::say('appliance.model.wire_end_at', [
                'colour' => $wire->colour,
                'place_name' => $this->placeName($wire->at($end)),
            ]);
        }
        $label = $this->part($owner)->label ?? $owner;

        return $end === '' ? $label : "$label $end";
    }
}
