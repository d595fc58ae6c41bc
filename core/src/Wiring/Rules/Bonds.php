<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;

/** Metal that is not bonded to the supply's ground. */
final class Bonds extends Rule
{
    /** Terminals that are the metal of a part. */
    private const METAL = ['frame', 'metal', 'PE', 'GNYE', 'case'];

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
                    'missing bond',
                    Finding::WRONG,
                    [$part->id],
                    [],
                    "{$this->nets->name($place)} has no path to ground.",
                    'If its insulation fails, its metal stays live and no breaker trips; flame current has no path back either.',
                    "Wire $terminal to ground.",
                    [['do' => 'wire', 'from' => $place, 'to' => $ground, 'colour' => $colour]],
                    "Runs a $colour wire from {$this->nets->name($place)} to {$this->nets->name($ground)}.",
                );
            }
        }

        return $found;
    }
}
