<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * A place that is warmed by another and lags behind it: the limit's disc in the plenum, °F. Slot: course, leader.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Follower extends Primitive
{
    public const AT_ONCE = true;

    public const GIVEN = [
        'start' => 'number',
        'leader' => 'id',
        'gain' => 'number',
        'around' => 'number',
        'tau_s' => 'number',
    ];

    /**
     * @param Figures $p leader: process id, gain, around: value at which gain has no effect, tau_s, start
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['course' => Response::still(0, $this->p['start']), 'leader' => null];
    }

    public function follows(): array
    {
        return [$this->p['leader']];
    }

    public function reads(): array
    {
        return [$this->p['leader'] => ['course']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $leader = $now->course($this->p['leader']);
        if ($leader === $slot['leader']) {
            return $slot;
        }
        $gain = $this->p['gain'];

        return [
            'course' => Response::behind(
                $now->tick,
                Response::at($slot['course'], $now->tick),
                $leader,
                $this->p['around'] * (1 - $gain),
                $gain,
                $this->p['tau_s'],
            ),
            'leader' => $leader,
        ];
    }
}
