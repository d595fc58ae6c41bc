<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * A door of an appliance: what lies behind it, and the switch that it holds in.
 *
 * @phpstan-import-type DoorDocument from Shapes
 */
final readonly class Door
{
    /** @param list<string> $covers parts */
    public function __construct(public string $id, public array $covers, public ?string $interlock) {}

    /** @param DoorDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self($json['id'], $json['covers'], $json['interlock'] ?? null);
    }
}
