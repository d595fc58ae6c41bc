<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/** Metal that is not bonded to the supply's ground. */
final class Bonds extends Rule
{
    /** Terminals that are the metal of a part. */
    private const METAL = ['frame', 'metal', 'PE', 'GNYE', 'case', 'shell'];

    public function find(): array
    {
        // a cord's ground pin counts as made
        $grounds = array_merge(
            [],
            ...array_map(
                fn (array $g) => array_map('strval', array_keys($this->nets->reached($this->nets->root($g['place'])))),
                $this->grounds(),
            ),
        );
        if ($grounds === []) {
            return [];
        }
        $found = [];
        foreach ($this->model()->parts() as $part) {
            foreach (array_keys($part->kind->terminals) as $terminal) {
                $place = "{$part->id}.$terminal";
                if (! in_array($terminal, self::METAL, true) || in_array($this->nets->root($place), $grounds, true)) {
                    continue;
                }
                $ground = $this->grounds()[0]['place'];
                $colour = $this->model()->region() === 'EU' ? 'green-yellow' : 'green';
                $found[] = new Finding(
                    Words::plain('wiring.bonds.missing_bond'),
                    Finding::WRONG,
                    [$part->id],
                    [],
                    Words::say('wiring.bonds.has_no_path_to_ground', ['place' => $this->nets->name($place)]),
                    Words::say('wiring.bonds.if_its_insulation_fails_its'),
                    Words::say('wiring.bonds.wire_to_ground', ['terminal' => $terminal]),
                    [['do' => 'wire', 'from' => $place, 'to' => $ground, 'colour' => $colour]],
                    Words::say('wiring.bonds.runs_a_wire_from_to', [
                        'colour' => $colour,
                        'place' => $this->nets->name($place),
                        'ground' => $this->nets->name($ground),
                    ]),
                );
            }
        }

        return $found;
    }
}
