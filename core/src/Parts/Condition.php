<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/**
 * Something that must hold of another primitive: a key of its slot equals a value or lies above or below a
 * figure, or, without a key, its course does.
 *
 * Shape: {by: id, key?: path, when?: value} or {by: id, key?: path, above: x} or {…, below: x}.
 */
final class Condition
{
    /** @param array<string, mixed> $c */
    public static function holds(array $c, Surroundings $now): bool
    {
        if (! isset($c['above']) && ! isset($c['below'])) {
            return $now->follow($c['by'], ...explode('.', $c['key'] ?? 'at')) === ($c['when'] ?? true);
        }
        $x = isset($c['key']) ? (float) $now->follow($c['by'], ...explode('.', $c['key'])) : $now->value($c['by']);
        // a crossing is found to the tick, so the value may stand a hair short of the level
        $slack = 1e-6 * (abs($x) + 1);

        return isset($c['above']) ? $x >= $c['above'] - $slack : $x <= $c['below'] + $slack;
    }

    /**
     * @param list<array<string, mixed>> $all
     */
    public static function allHold(array $all, Surroundings $now): bool
    {
        foreach ($all as $c) {
            if (! self::holds($c, $now)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<array<string, mixed>> $conditions
     * @return list<string>
     */
    public static function followed(array $conditions): array
    {
        return array_values(array_unique(array_column($conditions, 'by')));
    }

    /**
     * First tick at which a course among them crosses its level.
     *
     * @param list<array<string, mixed>> $conditions
     */
    public static function next(array $conditions, Surroundings $now): int
    {
        $next = Primitive::NEVER;
        foreach ($conditions as $c) {
            if (! isset($c['key']) && (isset($c['above']) || isset($c['below']))) {
                $next = min($next, $now->crossing($c['by'], [(float) ($c['above'] ?? $c['below'])]));
            }
        }

        return $next;
    }
}
