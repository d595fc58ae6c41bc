<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Glows;
use OddSpark\Parts\Ability\IsMains;
use OddSpark\Parts\Ability\Sparks;
use OddSpark\Parts\Primitive\ThermoSource;

/** By what an appliance is looked for among others: its supply, its fuel, how it lights, and what it heats. */
final readonly class Facets
{
    private function __construct(
        public string $supply,
        public string $fuel,
        public string $ignition,
        public string $heats,
    ) {}

    public static function of(Model $model): self
    {
        $families = array_map(fn (Part $part) => $part->kind->family, array_values($model->parts()));
        $household = $model->household();
        $vessel = $household->rooms === [] ? $household->hotWater : null;
        $heats = $vessel === null ? null : $vessel['what'] ?? 'tap water';
        $has = fn (Family ...$any): bool => array_filter($any, fn (Family $f) => in_array($f, $families, true)) !== [];

        return new self(
            self::can($model, IsMains::class) ? "{$model->document['supply']['volts']} V" : 'none',
            match (true) {
                $has(Family::OilSupply, Family::OilValve) => 'oil',
                $has(Family::GasSupply, Family::GasValve) => 'gas',
                default => 'none',
            },
            match (true) {
                self::can($model, Glows::class) => 'hot surface',
                self::can($model, Sparks::class), $has(Family::Ignition) => 'spark',
                self::can($model, ThermoSource::class) => 'standing pilot',
                default => 'none',
            },
            match (true) {
                $heats !== null => $heats,
                $has(Family::Blower, Family::Airflow) => 'air',
                $has(Family::Pump, Family::Water, Family::ZoneValve) => 'water',
                default => 'none',
            },
        );
    }

    /** @param class-string $what an ability or a class of primitives */
    private static function can(Model $model, string $what): bool
    {
        foreach ($model->parts() as $part) {
            foreach ($part->kind->primitives as $spec) {
                if ($spec->can($what)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{supply: string, fuel: string, ignition: string, heats: string} */
    public function toArray(): array
    {
        return [
            'supply' => $this->supply, 'fuel' => $this->fuel, 'ignition' => $this->ignition, 'heats' => $this->heats,
        ];
    }
}
