<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Blows;
use OddSpark\Parts\Ability\RunsDown;

/** What hands can do to a kind. */
trait TakenInHand
{
    /** @return array<string, Spec> batteries that can be changed */
    public function batteries(): array
    {
        return $this->isThermostat() ? $this->those(RunsDown::class) : [];
    }

    /** What blows in it and can be drawn and replaced by itself: not the trip of a breaker. */
    public function fuse(): ?Spec
    {
        $fuses = array_filter($this->those(Blows::class), fn (Spec $s): bool => ! $s->has('lever'));

        return $fuses === [] ? null : reset($fuses);
    }

    /** Amps of what trips or blows in it; INF when nothing does. */
    public function ratedAmps(): float
    {
        $fuses = $this->those(Blows::class);

        return $fuses === [] ? INF : (float) reset($fuses)->get('amps');
    }

    public function hands(): HandHolds
    {
        return HandHolds::of($this);
    }

    /** Whether it is taken off on a visit, to be measured or looked at in the hand. */
    public function comesOff(): bool
    {
        $isHidden = fn (FaultMode $m): bool => $m->signs->seenOff !== null;

        return $this->family->comesOff() &&
            ($this->terminals !== [] || array_filter($this->modes, $isHidden) !== []);
    }
}
