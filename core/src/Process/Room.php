<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;

/** The room, °F: losing heat to outdoors, gaining what the air brings. */
final class Room extends Settling
{
    public const GIVEN = [
        'start' => 'number',
        'burner' => 'id',
        'blower' => 'id',
        'btu_h' => 'number',
        'loss_btu_h_f' => 'number',
        'outdoor_f' => 'number',
        'tau_s' => 'number',
    ];

    public function follows(): array
    {
        return [$this->p['burner'], $this->p['blower']];
    }

    protected function aim(Surroundings $now): array
    {
        $heated =
            $now->follow($this->p['burner'], 'lit') === true &&
            (float) $now->follow($this->p['blower'], 'target') > 0.1;
        $gain = $heated ? $this->p['btu_h'] / $this->p['loss_btu_h_f'] : 0.0;

        return [round($this->p['outdoor_f'] + $gain, 3), $this->p['tau_s']];
    }
}
