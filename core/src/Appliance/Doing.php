<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * Something that people do with an appliance before a visit: a lever moved, a reset pressed, a door taken off or put
 * on.
 *
 * @phpstan-import-type DoingDocument from Shapes
 */
final readonly class Doing
{
    /**
     * @param int $tick ms from the beginning of the visit's story
     * @param string|null $part whose lever is moved; with no lever, whose button is pressed
     * @param string|null $door that is moved
     * @param string|int|float|null $to position of the lever; open | shut of a door
     */
    private function __construct(
        public int $tick,
        public ?string $part,
        public ?string $lever,
        public ?string $door,
        public string|int|float|null $to,
    ) {}

    /** @param DoingDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self(
            $json['at_s'] * 1000,
            $json['part'] ?? $json['reset'] ?? null,
            $json['lever'] ?? null,
            $json['door'] ?? null,
            $json['to'] ?? null,
        );
    }
}
