<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/** What a safety guards against. */
enum Guarded
{
    case Heat;
    case Rollout;
    case Draught;
    case Water;

    /** Whether what guards against it opens on heat: limits and rollouts. */
    public function opensOnHeat(): bool
    {
        return $this === self::Heat || $this === self::Rollout;
    }

    /** Whether it is made to act for a trial: a rollout is not. Common practice, no source. */
    public function isMadeToAct(): bool
    {
        return $this !== self::Rollout;
    }
}
