<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * A door of an appliance: what lies behind it, the switch that it holds in, and what can be reached with it shut.
 *
 * @phpstan-import-type DoorDocument from Shapes
 */
final readonly class Door
{
    /**
     * @param list<string> $covers parts
     * @param string|null $interlock the lever of the switch, "part.name"
     * @param list<string> $through levers and buttons that stick out of it, "part.name"
     * @param bool $sealed it closes the room that the fire takes its air from: nobody looks behind it while it burns
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $covers,
        public ?string $interlock = null,
        public array $through = [],
        public bool $sealed = false,
    ) {}

    /** @param DoorDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self(
            $json['id'],
            $json['label'],
            $json['covers'],
            $json['interlock'] ?? null,
            $json['through'] ?? [],
            $json['sealed'] ?? false,
        );
    }
}
