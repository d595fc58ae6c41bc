<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Words\Words;

/**
 * A figure of a commissioning sheet: what it is, in what, and between what it should lie.
 *
 * @phpstan-type RowDocument array{id: string, sort: string, of: list<string>, title: string, unit: string,
 *     low: float|null, high: float|null, plate: bool}
 */
final readonly class Row
{
    /** Of what is out by less nobody can be sure, share of the limit. A rule of this product, no source. */
    private const DOUBT = 0.03;

    /** How far a figure may lie from what the appliance has, as a share of it, and never less than so much by unit. */
    private const NEAR = 0.1;

    private const LEAST = [
        'in. w.c.' => 0.05, 'mbar' => 0.15, '°F' => 4.0, '°C' => 2.0, '% O₂' => 0.5, 'ppm CO' => 15.0, 'µA' => 0.4,
        'A AC' => 0.1, 'psi' => 3.0, 'bar' => 0.2, 'smoke' => 0.6,
    ];

    /**
     * @param string $id unique on the sheet
     * @param string $sort how it is read, of {@see Rows}
     * @param list<string> $of taps, or the primitive, that it is read at
     * @param float|null $low null: there is no such limit
     * @param bool $isByPlate its limits are stamped on the appliance, and have to be read there
     */
    public function __construct(
        public string $id,
        public string $sort,
        public array $of,
        public string $title,
        public string $unit,
        public ?float $low,
        public ?float $high,
        public bool $isByPlate,
    ) {}

    public function isInRange(float $figure): bool
    {
        return ($this->low === null || $figure >= $this->low * (1 - self::DOUBT)) &&
            ($this->high === null || $figure <= $this->high * (1 + self::DOUBT));
    }

    /** Whether it lies so near a limit that one instrument would say in and another out. */
    public function isDoubtful(float $figure): bool
    {
        foreach ([$this->low, $this->high] as $limit) {
            if ($limit !== null && abs($figure - $limit) <= 2 * self::DOUBT * abs($limit)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a figure is what the appliance has, as far as instruments and moments let it be. */
    public function isNear(float $said, float $is): bool
    {
        return abs($said - $is) <= max(self::NEAR * abs($is), self::LEAST[$this->unit] ?? 0.0);
    }

    /** Between what it should lie, in words; of the plate that it says so. */
    public function range(): string
    {
        return match (true) {
            $this->isByPlate => Words::say('commissioning.row.by_the_plate'),
            $this->low === null => Words::say('commissioning.row.at_most', ['high' => $this->high]),
            $this->high === null => Words::say('commissioning.row.at_least', ['low' => $this->low]),
            default => Words::say('commissioning.row.between', ['low' => $this->low, 'high' => $this->high]),
        };
    }

    /** @return RowDocument for {@see of} */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'sort' => $this->sort, 'of' => $this->of, 'title' => $this->title, 'unit' => $this->unit,
            'low' => $this->low, 'high' => $this->high, 'plate' => $this->isByPlate,
        ];
    }

    /** @param RowDocument $array from {@see toArray} */
    public static function of(array $array): self
    {
        return new self(...array_values($array));
    }
}
