<?php

declare(strict_types=1);

namespace OddSpark\Trade;

/**
 * What is burnt, and what burning it takes and leaves, by mole balance.
 *
 * Of CHy in air of 20.95 % oxygen, λ times the air that it needs: 1 CO2 + y/2 H2O + (λ − 1)(1 + y/4) O2 +
 * λ (1 + y/4)·3.773 N2; with less air than it needs, what oxygen is missing leaves CO in place of CO2, one for each
 * half mole. Natural gas is taken as methane, oil as CH1.8 (No. 2, from memory).
 */
enum Fuel: string
{
    case NaturalGas = 'natural-gas';
    case Propane = 'propane';
    case Oil = 'oil';

    /** Oxygen in dry air, and nitrogen with argon for each mole of it. */
    private const OXYGEN = 0.2095;

    private const NITROGEN = (1 - self::OXYGEN) / self::OXYGEN;

    /** Parts per million of CO that a burner leaves with air enough, and how much more before it has too little. */
    private const CO_USUAL = 15.0;

    private const CO_RICH = 400.0;

    private const CO_FROM = 1.2;

    public function hydrogen(): float
    {
        return match ($this) {
            self::NaturalGas => 4.0,
            self::Propane => 8 / 3,
            self::Oil => 1.8,
        };
    }

    /** Higher heating value: Btu/ft³ of gas, Btu/gal of oil; from memory. */
    public function heatingValue(): float
    {
        return match ($this) {
            self::NaturalGas => 1020.0,
            self::Propane => 2516.0,
            self::Oil => 138500.0,
        };
    }

    /** Against air; of a liquid against water. From memory. */
    public function specificGravity(): float
    {
        return match ($this) {
            self::NaturalGas => 0.60,
            self::Propane => 1.52,
            self::Oil => 0.85,
        };
    }

    /** Heat through one orifice at one pressure: heating value over the root of specific gravity. */
    public function throughOrifice(): float
    {
        return $this->heatingValue() / sqrt($this->specificGravity());
    }

    /**
     * Air that it needs, ft³/min for each Btu/h: 10 ft³ for 1000 Btu as near as makes no matter.
     *
     * Methane 2 ÷ 0.2095 = 9.55 ft³ for 1010 Btu, propane 5 ÷ 0.2095 = 23.9 for 2516; oil 1390 ft³ a gallon, from
     * memory.
     */
    public function air(): float
    {
        return match ($this) {
            self::NaturalGas => 2 / self::OXYGEN / 1010,
            self::Propane => 5 / self::OXYGEN / 2516,
            self::Oil => 1390 / 138500,
        } / 60;
    }

    /** The same, m³/h for each W. */
    public function airMetric(): float
    {
        return $this->air() / Units::W_PER_BTU_H * 1.699011; // ft³/min in m³/h
    }

    /**
     * Dry flue gas at λ times the air needed.
     *
     * @return array{oxygen: float, co2: float, co: float} % of it, CO in parts per million
     */
    public function flueGas(float $air): array
    {
        $needs = 1 + $this->hydrogen() / 4;
        if (is_infinite($air)) {
            return ['oxygen' => 100 * self::OXYGEN, 'co2' => 0.0, 'co' => 0.0];
        }
        // what oxygen is missing is missing to CO and to H2, in about these shares (water-gas shift); from memory
        [$co, $h2] = $this->unburnt($air);
        $oxygen = max(0.0, $air - 1) * $needs;
        $dry = 1 + $oxygen + $h2 + $air * $needs * self::NITROGEN;
        // a burner mixes its air badly long before there is none to spare; the rise is a rule of this product
        $mixing = self::CO_USUAL + self::CO_RICH * max(0.0, min(1.0, (self::CO_FROM - $air) / (self::CO_FROM - 1)));

        return [
            'oxygen' => 100 * $oxygen / $dry,
            'co2' => 100 * (1 - $co) / $dry,
            'co' => min(1e6 * $co / $dry + $mixing, 40000.0),
        ];
    }

    /**
     * Share of what is burnt that is not lost up the flue, of the higher heating value.
     *
     * What leaves is one mole's worth of flue gas at λ times the air needed, warmer than the air that came by so many
     * degrees: 7.2 Btu for a lb-mole of dry gas and a degree, 8.2 for one of water, 18,970 for each of water that
     * leaves as vapour, 121,700 for each of CO and 122,900 for each of H2 that did not burn (from memory). It leaves as
     * vapour as far as the gas holds it: its pressure at saturation by Magnus' formula,
     * 6.112·exp(17.62·t ÷ (243.12 + t)) mbar.
     *
     * @param float $stack °F of the flue gas
     * @param float $around °F of the air that is burnt
     */
    public function efficiency(float $air, float $stack, float $around): float
    {
        $needs = 1 + $this->hydrogen() / 4;
        $dry = 1 + max(0.0, $air - 1) * $needs + $air * $needs * self::NITROGEN;
        $water = $this->hydrogen() / 2;
        $celsius = ($stack - 32) / 1.8;
        $saturated = 6.112 * exp(17.62 * $celsius / (243.12 + $celsius));
        $vapour = $saturated >= 1013 ? $water : min($water, $dry * $saturated / (1013 - $saturated));
        $sensible = ($dry * 7.2 + $vapour * 8.2) * ($stack - $around);

        [$co, $h2] = $this->unburnt($air);

        return 1 - ($sensible + 18970 * $vapour + 121700 * $co + 122900 * $h2) / $this->molar();
    }

    /**
     * Moles of CO and of H2 for a mole of carbon where there is too little air: two of either for each of oxygen that
     * is missing.
     *
     * @return array{float, float}
     */
    private function unburnt(float $air): array
    {
        $missing = max(0.0, 1 - $air) * (1 + $this->hydrogen() / 4);

        return [min(0.9, 1.1 * $missing), min($this->hydrogen() / 2, 0.9 * $missing)];
    }

    /** Higher heating value of what holds one mole of carbon, Btu a lb-mole; from memory. */
    private function molar(): float
    {
        return match ($this) {
            self::NaturalGas => 382800.0,
            self::Propane => 953900.0 / 3,
            self::Oil => 265000.0,
        };
    }
}
