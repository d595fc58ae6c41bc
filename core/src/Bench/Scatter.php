<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Primitives;
use OddSpark\Parts\Primitive;

/**
 * Good parts of one label are not all alike: their values scatter by a seed that no candidate knows.
 *
 * @phpstan-import-type Changes from Primitive
 */
final class Scatter
{
    private const SHARE = 0.02;

    /**
     * @param Changes $set what a fault has changed, which is left as it is
     * @return array<string, float>
     */
    public static function of(Plan $plan, int $seed, array $set): array
    {
        $scattered = [];
        foreach ($plan->primitives as $id => $entry) {
            foreach (Primitives::TYPES[$entry['type']]::SCATTERS as $key) {
                $path = "$id.$key";
                if (! isset($set[$path])) {
                    $u = crc32("$seed:$path") / 0xFFFFFFFF * 2 - 1;
                    $scattered[$path] = $entry['spec'][$key] * (1 + self::SHARE * $u);
                }
            }
        }

        return $scattered;
    }
}
