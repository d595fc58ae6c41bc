<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * What eyes, hands and a nose find of a way of failing, without an instrument; null: nothing.
 *
 * @phpstan-import-type ModeDocument from Shapes
 */
final readonly class Signs
{
    /**
     * @param string|null $seen on the part where it sits
     * @param string|null $seenOff on the part when it has been taken off, or its halves apart
     * @param string|null $felt by a hand on it that moves what should not move
     * @param string|null $smells near it
     */
    public function __construct(
        public ?string $seen = null,
        public ?string $seenOff = null,
        public ?string $felt = null,
        public ?string $smells = null,
    ) {}

    /** @param ModeDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self(
            $json['seen'] ?? null,
            $json['seen_off'] ?? null,
            $json['felt'] ?? null,
            $json['smells'] ?? null,
        );
    }
}
