<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Trade\Units;

/**
 * What a port is for. Pipes join ports of one medium; what flows has a network, heat and flame are places where
 * something sits: a disc on a wall, a bulb in a pocket, a rod in a flame.
 */
enum Medium: string
{
    case Gas = 'gas';
    case Oil = 'oil';
    case Air = 'air';
    case Flue = 'flue';
    case Water = 'water';
    case Heat = 'heat';
    case Flame = 'flame';

    public function flows(): bool
    {
        return $this !== self::Heat && $this !== self::Flame;
    }

    /** What joins two ports of it, as it is called. */
    public function pipe(): string
    {
        return match ($this) {
            self::Gas => 'gas pipe',
            self::Oil => 'oil line',
            self::Air => 'duct',
            self::Flue => 'vent',
            self::Water => 'water pipe',
            self::Heat => 'seat of a sensor',
            self::Flame => 'place in the flame',
        };
    }

    /** Unit of its flow. */
    public function flowUnit(string $region): string
    {
        return match ($this) {
            self::Gas, self::Oil => $region === 'EU' ? 'W' : 'Btu/h',
            self::Air, self::Flue => $region === 'EU' ? 'm³/h' : 'CFM',
            self::Water => $region === 'EU' ? 'l/min' : 'gal/min',
            default => '',
        };
    }

    /** Unit of its pressure; gas, air and draught are computed in inches of water everywhere. */
    public function pressureUnit(string $region): string
    {
        return match ($this) {
            self::Gas, self::Air, self::Flue => 'in. w.c.',
            self::Oil => 'psi',
            self::Water => $region === 'EU' ? 'bar' : 'psi',
            default => '',
        };
    }

    /** Heat that a unit of its flow carries for each degree. */
    public function carries(string $region): float
    {
        return match ($this) {
            self::Air, self::Flue => $region === 'EU' ? Units::AIR_W_PER_M3_H_K : Units::AIR_BTU_H_PER_CFM_F,
            self::Water => $region === 'EU' ? Units::WATER_W_PER_L_MIN_K : Units::WATER_BTU_H_PER_GPM_F,
            default => 0.0,
        };
    }

    /** Pressure where nothing flows: a heating loop is filled to some 12 psi. */
    public function rest(string $region): float
    {
        return $this === self::Water ? ($region === 'EU' ? 1.0 : 12.0) : 0.0;
    }
}
