<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;

/** The pressure at a joint of a network, as a gauge or a diaphragm there feels it. Slot: course, aim. */
final class JointPressure extends Settling
{
    public const GIVEN = [
        'start' => 'number?',
        'network' => 'id',
        'joint' => 'number',
        'turned' => 'number?',
        'tau_s' => 'number?',
    ];

    public function follows(): array
    {
        return [$this->p['network']];
    }

    public function reads(): array
    {
        return [$this->p['network'] => [['joints', (string) $this->p['joint']]]];
    }

    /** turned: −1 where suction counts as above zero */
    protected function aim(Surroundings $now): array
    {
        $p = (float) ($now->follow($this->p['network'], 'joints', (string) $this->p['joint']) ?? 0.0);

        return [round($p * ($this->p['turned'] ?? 1.0), 4), (float) ($this->p['tau_s'] ?? 0.3)];
    }
}
