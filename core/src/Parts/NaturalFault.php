<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/**
 * A way of failing that a primitive has by its nature. How likely: common practice, no source.
 *
 * @phpstan-import-type Changes from Primitive
 */
final readonly class NaturalFault
{
    /** @param Changes $set parameters that it changes, by their path within the primitive */
    public function __construct(public string $mode, public string $words, public array $set, public float $weight) {}
}
