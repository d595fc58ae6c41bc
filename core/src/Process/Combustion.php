<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;

/**
 * What an analyser finds in the flue of a burner: oxygen, % of the dry gas. Slot: course, aim.
 *
 * Stoichiometry of a hydrocarbon CHy in air of 20.95 % oxygen: with λ times the air that it needs, one mole of fuel
 * leaves
 * 1 CO2 + (λ − 1)(1 + y/4) O2 + λ (1 + y/4) · 3.773 N2. Air for the fuel falls as the ways of the one and rises as the
 * ways of the other shut.
 */
final class Combustion extends Settling
{
    public const GIVEN = [
        'burner' => 'id',
        'fuel' => 'natural-gas|propane|oil',
        'excess' => 'number',
        'air' => 'ids?',
        'burns' => 'ids?',
        'presses' => 'ids?',
        'tau_s' => 'number?',
        'shows' => 'oxygen|smoke?',
    ];

    /** Hydrogen atoms for each of carbon; oil as No. 2, from memory. */
    private const HYDROGEN = ['natural-gas' => 4.0, 'propane' => 8 / 3, 'oil' => 1.8];

    /** Nitrogen, with argon, for each mole of oxygen in dry air. */
    private const NITROGEN = (100 - 20.95) / 20.95;

    public function follows(): array
    {
        return [$this->p['burner'], ...$this->p['air'] ?? [], ...$this->p['burns'] ?? [], ...$this->p['presses'] ?? []];
    }

    /**
     * excess: λ when all is as it should be; air, burns: ways of air and fuel; presses: of the fuel's pressure, whose
     * root its flow goes with; shows: smoke for a spot number instead
     */
    protected function aim(Surroundings $now): array
    {
        $lit = $now->follow($this->p['burner'], 'lit') === true;
        $fuel = $this->free($now, $this->p['burns'] ?? []) * sqrt($this->free($now, $this->p['presses'] ?? []));
        $air = $lit ? ($this->p['excess'] * $this->free($now, $this->p['air'] ?? [])) / max(0.05, $fuel) : INF;
        $shown =
            ($this->p['shows'] ?? 'oxygen') === 'smoke'
                ? self::smoke($air)
                : self::oxygen($air, self::HYDROGEN[$this->p['fuel']]);

        return [round($shown, 3), $this->p['tau_s'] ?? 15.0];
    }

    /** Oxygen in the dry gas, %, at λ times the air needed. */
    public static function oxygen(float $air, float $hydrogen): float
    {
        $needs = 1 + $hydrogen / 4;
        if (is_infinite($air)) {
            return 100 / (1 + self::NITROGEN);
        }

        return $air <= 1 ? 0.0 : 100 * ($air - 1) * $needs / (1 + ($air - 1) * $needs + $air * $needs * self::NITROGEN);
    }

    /**
     * Spot number, 0 to 9: none with a fifth of air to spare, and black without any; a rule of this model, no source.
     */
    public static function smoke(float $air): float
    {
        return max(0.0, min(9.0, 9 * (1.2 - $air) / 0.2));
    }
}
