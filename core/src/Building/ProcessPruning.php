<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Primitives;
use OddSpark\Parts\Ability\HoldsHeat;
use OddSpark\Parts\Primitive;

/**
 * A process without what is not there: what needs it goes too, and what needs that.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class ProcessPruning
{
    /**
     * Elements without what is not here; one that needs it goes too, and those that need that one.
     *
     * @param array<string, Figures> $process
     * @param array<string, true> $gone parts
     * @param list<string> $ids
     * @return array{array<string, Figures>, array<string, true>} what is left, and what is lost
     */
    public static function without(array $process, array $gone, array $ids): array
    {
        $lost = [];
        do {
            $before = count($lost);
            $known = array_fill_keys($ids, true);
            $bad = fn (mixed $v): bool => is_string($v) &&
                (isset($lost[$v]) || isset($gone[$v]) || (str_contains($v, '.') && isset($gone[self::owner($v)])));
            foreach ($process as $id => $element) {
                foreach ($element as $key => $v) {
                    if (is_array($v)) {
                        $kept = array_values(
                            array_filter($v, fn (mixed $x) => is_array($x) ? ! self::names($x, $bad) : ! $bad($x)),
                        );
                        if (
                            $kept !== $v &&
                            is_a(Primitives::TYPES[$element['type']], HoldsHeat::class, true) &&
                            self::linksOf($kept, $known) === 0 &&
                            self::linksOf($v, $known) > 0
                        ) {
                            $lost[$id] = true; // nothing comes to it any more
                        }
                        // a heater without a flame has nothing to give; a burner that nothing lights does not burn
                        if ($kept === [] && $v !== [] && in_array($key, ['lit_by', 'loses'], true)) {
                            $lost[$id] = true;
                        }
                        $process[$id][$key] = $kept;
                    } elseif ($bad($v)) {
                        $lost[$id] = true;
                    }
                }
            }
            $process = array_diff_key($process, $lost);
        } while (count($lost) > $before);

        return [$process, $lost];
    }

    /**
     * How many words of a value name a process.
     *
     * @param array<array-key, mixed> $value
     * @param array<string, true> $known
     */
    private static function linksOf(array $value, array $known): int
    {
        $count = 0;
        array_walk_recursive($value, function (mixed $v) use (&$count, $known): void {
            $count += is_string($v) && isset($known[$v]) ? 1 : 0;
        });

        return $count;
    }

    /**
     * @param array<array-key, mixed> $value
     * @param callable(mixed): bool $bad
     */
    public static function names(array $value, callable $bad): bool
    {
        foreach ($value as $v) {
            if (is_array($v) ? self::names($v, $bad) : $bad($v)) {
                return true;
            }
        }

        return false;
    }

    private static function owner(string $id): string
    {
        $dot = strrpos($id, '.');

        return $dot === false ? $id : substr($id, 0, $dot);
    }
}
