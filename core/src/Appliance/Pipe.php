<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * A pipe, a duct, a hose or a seat: two ports that are joined.
 *
 * @phpstan-import-type PipeDocument from Shapes
 */
final readonly class Pipe
{
    private function __construct(public string $id, public string $from, public string $to) {}

    /** @param PipeDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self($json['id'], $json['from'], $json['to']);
    }
}
