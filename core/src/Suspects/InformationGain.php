<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/**
 * What an observation is expected to tell: the entropy of its outcomes over the suspects, less what of it
 * comes from suspects that could show anything.
 *
 * A suspect whose outcome is certain stands under one outcome. One that could show anything ("unknown") is
 * spread evenly over the outcomes that the others show (de Kleer & Williams, Artificial Intelligence 32 (1987) 97).
 */
final class InformationGain
{
    /**
     * @param array<array-key, list<array-key>> $outcomes what is shown => the suspects that would show it
     * @param array<array-key, float> $weights by suspect
     * @param list<array-key> $unknown suspects that could show any of them
     * @return float bits
     */
    public static function bits(array $outcomes, array $weights, array $unknown = []): float
    {
        $n = count($outcomes);
        $sums = [];
        $all = $open = 0.0;
        foreach ($unknown as $id) {
            $open += $weights[$id];
        }
        foreach ($outcomes as $ids) {
            $sum = $n === 0 ? 0.0 : $open / $n;
            foreach ($ids as $id) {
                $sum += $weights[$id] ?? 0.0;
            }
            $sums[] = $sum;
            $all += $sum;
        }
        if ($all <= 0.0) {
            return 0.0;
        }

        return Suspects::bits($sums) - $open / $all * log($n, 2);
    }

    /**
     * Figures that lie closer together than an instrument can tell, together: the lowest first.
     *
     * @template K of array-key
     *
     * @param array<K, float> $values by suspect
     * @param array<K, float> $tolerance of each
     * @return list<list<K>> the suspects of each
     */
    public static function bins(array $values, array $tolerance): array
    {
        asort($values);
        $bins = [];
        $bin = [];
        $last = $allows = null;
        foreach ($values as $id => $value) {
            if ($last !== null && ($value === INF ? $last !== INF : $value - $last > $tolerance[$id] + $allows)) {
                $bins[] = $bin;
                $bin = [];
            }
            $bin[] = $id;
            $last = $value;
            $allows = $tolerance[$id];
        }
        if ($bin !== []) {
            $bins[] = $bin;
        }

        return $bins;
    }
}
