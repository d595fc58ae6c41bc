<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;

/** Heat in front of the burners, °F: little while the flame stays in, much when it rolls out. */
final class Rollout extends Settling
{
    public const GIVEN = [
        'start' => 'number',
        'burner' => 'id',
        'blower' => 'id',
        'wall' => 'id',
        'in_place_f' => 'number',
        'rolled_out_f' => 'number',
        'tau_s' => 'number',
    ];

    public function follows(): array
    {
        return [$this->p['burner'], $this->p['blower'], $this->p['wall']];
    }

    protected function aim(Surroundings $now): array
    {
        if ($now->follow($this->p['burner'], 'lit') !== true) {
            return [$this->p['start'], $this->p['tau_s']];
        }
        $blown = (float) $now->follow($this->p['blower'], 'target') * (1 - $this->free($now, [$this->p['wall']]));

        return [$blown > 0.2 ? $this->p['rolled_out_f'] : $this->p['in_place_f'], $this->p['tau_s']];
    }
}
