<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

/** What somebody said and a candidate would not have led to: it weighs, and does not exclude. */
final class Hearsay
{
    /**
     * All that it speaks against have no more than this together, so that many of them do not outweigh what it speaks
     * for. Ours, no source.
     */
    private const SHARE = 0.1;

    /**
     * @param array<string, float> $weights by fault
     * @param array<string, true> $contrary those that it speaks against
     * @return array<string, float>
     */
    public static function weighed(array $weights, array $contrary): array
    {
        $against = array_sum(array_intersect_key($weights, $contrary));
        $others = array_sum(array_diff_key($weights, $contrary));
        if ($against <= 0.0) {
            return $weights;
        }
        $most = $others <= 0.0 ? 1.0 : self::SHARE / (1 - self::SHARE) * $others / $against;
        foreach (array_keys(array_intersect_key($weights, $contrary)) as $id) {
            $weights[$id] *= min(self::SHARE, $most);
        }

        return $weights;
    }
}
