<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Attracts;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Glows;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Parts\Ability\Sparks;
use OddSpark\Parts\Ability\Turns;

/** What moves, shines or sounds in a part, as the board draws it and a loudspeaker plays it. */
enum Motion: string
{
    case Flame = 'flame';
    case Shaft = 'shaft';
    case Glow = 'glow';
    case Spark = 'spark';
    case Marker = 'marker';
    case Lamp = 'lamp';
    case Click = 'click';
    case Noise = 'noise';

    /**
     * @param Spec $of what is perceived
     * @param string $sense by which: sight, hearing, smell
     */
    public static function of(Spec $of, string $sense): ?self
    {
        return match (true) {
            $sense === 'smell' => null,
            $of->can(Burns::class) => self::Flame,
            $of->can(Turns::class) => self::Shaft,
            $of->can(Glows::class) => self::Glow,
            $of->can(Sparks::class) => self::Spark,
            $of->can(MovesSpindle::class) => self::Marker,
            $sense === 'hearing' => $of->can(Attracts::class) ? self::Click : self::Noise,
            $of->can(Decides::class), $of->can(Attracts::class) => self::Lamp,
            default => null,
        };
    }

    /** Whether it is drawn in the place of the part's symbol, and not beside it. */
    public function isTheSymbol(): bool
    {
        return in_array($this, [self::Flame, self::Shaft, self::Glow, self::Marker], true);
    }
}
