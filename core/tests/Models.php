<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Appliance\Library;

/**
 * Shipped models, for tests of what holds of each: every fifth; all with SPARK_ALL_FAULTS=1, as in ./spark check.
 */
final class Models
{
    private const EACH = 5;

    /**
     * @param int $first which fifth; of another test another, so that no model is left out of all
     * @return iterable<string, array{string}>
     */
    public static function some(int $first): iterable
    {
        foreach (Sample::of(self::EACH, (new Library())->names(), $first) as $name) {
            yield $name => [$name];
        }
    }
}
