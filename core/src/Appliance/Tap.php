<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * A place on a part where an instrument other than the meter is put.
 *
 * @phpstan-import-type TapDocument from Shapes
 */
final readonly class Tap
{
    /**
     * @param string $of process id of what is read there
     * @param string|null $row of a commissioning sheet that is read there, where its instrument does not say it
     */
    public function __construct(
        public string $id,
        public string $part,
        public string $label,
        public string $instrument,
        public string $of,
        public ?string $row = null,
    ) {}

    /** @param TapDocument $json as the schema has it */
    public static function of(string $id, array $json): self
    {
        return new self($id, $json['part'], $json['label'], $json['instrument'], $json['of'], $json['row'] ?? null);
    }
}
