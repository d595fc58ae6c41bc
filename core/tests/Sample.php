<?php

declare(strict_types=1);

namespace OddSpark\Tests;

/** Of what takes long to try whole, every so many; all of it with SPARK_ALL_FAULTS=1, as in ./spark check. */
final class Sample
{
    /**
     * @template K of array-key
     * @template T
     *
     * @param int $each one of so many
     * @param int $first which of them
     * @param iterable<K, T> $all
     * @return iterable<K, T>
     */
    public static function of(int $each, iterable $all, int $first = 0): iterable
    {
        $i = 0;
        foreach ($all as $key => $one) {
            if (getenv('SPARK_ALL_FAULTS') !== false || $i % $each === $first) {
                yield $key => $one;
            }
            $i++;
        }
    }
}
