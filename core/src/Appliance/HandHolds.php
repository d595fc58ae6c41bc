<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Attracts;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Parts\Ability\Turns;

/** What hands can do to a part of a kind beside setting it. */
final readonly class HandHolds
{
    /** @param list<string> $spares that the van has for it */
    private function __construct(
        public bool $turn,
        public bool $push,
        public bool $clock,
        public bool $suck,
        public bool $batteries,
        public int|float|null $fuse,
        public bool $off,
        public bool $warm,
        public bool $recall,
        public bool $bleed,
        public bool $head,
        public bool $lock,
        public bool $leaks,
        public bool $supplied,
        public bool $reset,
        public array $spares,
    ) {}

    public static function of(Kind $kind): self
    {
        return new self(
            turn: $kind->those(Turns::class) !== [],
            push: $kind->family === Family::Relay && $kind->those(Attracts::class) !== [],
            clock: $kind->symbol === 'meter',
            suck: $kind->symbol === 'pressure-switch',
            batteries: $kind->batteries() !== [],
            fuse: $kind->fuse()?->get('amps'),
            off: $kind->comesOff(),
            warm: $kind->comesOff() && $kind->feelsHeat(),
            recall: $kind->isControl(),
            bleed: $kind->those(HoldsCharge::class) !== [],
            head: $kind->those(MovesSpindle::class) !== [],
            lock: ($kind->isSupply() || $kind->isFuelSupply()) && ($kind->settings !== [] || $kind->fuse() !== null),
            leaks: $kind->carriesFuel(),
            supplied: $kind->isSupply() || $kind->isFuelSupply(),
            reset: $kind->resets !== [],
            spares: array_map('strval', array_keys($kind->spares)),
        );
    }
}
