<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Trade\Conductor;
use OddSpark\Words\Words;

/**
 * A wire as the drawing has it: from a place to a place, its colour and gauge, what hangs on it and beside it.
 *
 * @phpstan-import-type WireDocument from Shapes
 */
final readonly class Wire
{
    private const CELSIUS = 25.0;

    private const JOINT_OHM = 0.002;

    /**
     * @param list<string> $modes ways of failing that it has
     * @param list<array{int|float, int|float}> $via where a hand has led it on the board
     */
    private function __construct(
        public string $id,
        public string $from,
        public string $to,
        public string $colour,
        public int|float|null $awg,
        public int|float|null $feet,
        public int|float|null $mm2,
        public int|float|null $metres,
        public ?string $tag,
        public ?string $cable,
        public ?string $near,
        public int|float $celsius,
        public array $modes,
        public array $via,
    ) {}

    /** @param WireDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self(
            $json['id'],
            $json['from'],
            $json['to'],
            $json['colour'],
            $json['awg'] ?? null,
            $json['feet'] ?? null,
            $json['mm2'] ?? null,
            $json['metres'] ?? null,
            $json['tag'] ?? null,
            $json['cable'] ?? null,
            $json['near'] ?? null,
            $json['celsius'] ?? self::CELSIUS,
            $json['modes'] ?? [],
            $json['via'] ?? [],
        );
    }

    /** The place at which the drawing has one of its ends. */
    public function at(string $end): string
    {
        return $end === 'a' ? $this->from : $this->to;
    }

    /** @return array{string, string} the parts it goes to */
    public function parts(): array
    {
        return [Model::split($this->from)[0], Model::split($this->to)[0]];
    }

    public function goesTo(string $part): bool
    {
        return in_array($part, $this->parts(), true);
    }

    /** Ohms of its copper. */
    public function ohms(): float
    {
        return max(self::JOINT_OHM, $this->mm2 !== null
            ? Conductor::metric($this->mm2, (float) $this->metres, $this->celsius)
            : Conductor::ohms($this->awg ?? 18, (float) $this->feet, $this->celsius));
    }

    /** "14 AWG", "1.5 mm²". */
    public function gauge(): string
    {
        return $this->mm2 !== null ? Words::say('appliance.wire.mm', ['mm2' => $this->mm2]) : "$this->awg AWG";
    }
}
