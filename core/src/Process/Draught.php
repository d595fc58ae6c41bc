<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;

/** Suction at the pressure switch, in. w.c.: the inducer's, through flue and hose. */
final class Draught extends Settling
{
    public const GIVEN = [
        'start' => 'number?',
        'inducer' => 'id',
        'ways' => 'ids',
        'rated_in_wc' => 'number',
        'tau_s' => 'number',
    ];

    public function follows(): array
    {
        return [$this->p['inducer'], ...$this->p['ways']];
    }

    protected function aim(Surroundings $now): array
    {
        $speed = (float) $now->follow($this->p['inducer'], 'target');

        // fan law: pressure goes with the square of speed
        return [
            round($this->p['rated_in_wc'] * $speed * $speed * $this->free($now, $this->p['ways']), 4),
            $this->p['tau_s'],
        ];
    }
}
