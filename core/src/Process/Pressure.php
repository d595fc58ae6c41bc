<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Surroundings;

/**
 * A pressure that stands while what makes it runs and what leads to it is open: at the manifold, at an oil pump. Slot:
 * course, aim.
 */
final class Pressure extends Settling
{
    public const GIVEN = [
        'start' => 'number?',
        'set' => 'number',
        'if' => 'conditions?',
        'ways' => 'ids?',
        'tau_s' => 'number?',
    ];

    public function follows(): array
    {
        return [...Condition::followed($this->p['if'] ?? []), ...($this->p['ways'] ?? [])];
    }

    public function reads(): array
    {
        return array_merge_recursive(
            array_fill_keys($this->p['ways'] ?? [], ['free']),
            Condition::read($this->p['if'] ?? []),
        );
    }

    /** set: the pressure then, in the unit that the tap shows; if, ways: what must hold and be open; tau_s */
    protected function aim(Surroundings $now): array
    {
        $on = Condition::allHold($this->p['if'] ?? [], $now);

        return [
            $on ? round($this->p['set'] * $this->free($now, $this->p['ways'] ?? []), 4) : 0.0,
            $this->p['tau_s'] ?? 0.3,
        ];
    }
}
