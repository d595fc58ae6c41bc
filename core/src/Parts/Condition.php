<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/**
 * Something that must hold of another primitive: a key of its slot equals a value or lies above or below a
 * figure, or, without a key, its course does.
 *
 * @phpstan-type Requirement array{by: string, key?: string, when?: bool|int|float|string|null, above?: int|float,
 *     below?: int|float}
 */
final class Condition
{
    /** @param Requirement $c */
    public static function holds(array $c, Surroundings $now): bool
    {
        if (! isset($c['above']) && ! isset($c['below'])) {
            return $now->follow($c['by'], ...explode('.', $c['key'] ?? 'at')) === ($c['when'] ?? true);
        }
        $x = isset($c['key']) ? (float) $now->follow($c['by'], ...explode('.', $c['key'])) : $now->value($c['by']);

        return isset($c['above'])
            ? $x >= $c['above'] - self::slack((float) $c['above'])
            : $x <= $c['below'] + self::slack((float) $c['below']);
    }

    /** A crossing is found to the tick, so a value may stand a hair short of the level that it has come to. */
    public static function slack(float $level): float
    {
        return 1e-6 * (abs($level) + 1);
    }

    /**
     * @param list<Requirement> $all
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
     * @param list<Requirement> $conditions
     * @return list<string>
     */
    public static function followed(array $conditions): array
    {
        return array_values(array_unique(array_column($conditions, 'by')));
    }

    /**
     * What they read of the slots that they follow.
     *
     * @param list<Requirement> $conditions
     * @return array<string, list<string>> keys by id
     */
    public static function read(array $conditions): array
    {
        $read = [];
        foreach ($conditions as $c) {
            $ofCourse = ! isset($c['key']) && (isset($c['above']) || isset($c['below']));
            $read[$c['by']][] = $ofCourse ? 'course' : explode('.', $c['key'] ?? 'at')[0];
        }

        return array_map(fn (array $keys): array => array_values(array_unique($keys)), $read);
    }

    /**
     * First tick at which a course among them crosses its level.
     *
     * @param list<Requirement> $conditions
     */
    public static function next(array $conditions, Surroundings $now): int
    {
        $next = Primitive::NEVER;
        foreach ($conditions as $c) {
            if (! isset($c['key']) && (isset($c['above']) || isset($c['below']))) {
                $level = (float) ($c['above'] ?? $c['below']);
                // it ends as far beyond the level as it may begin before it
                $ends = $level + (isset($c['above']) ? -2 : 2) * self::slack($level);
                $next = min($next, $now->crossing($c['by'], [$level, $ends]));
            }
        }

        return $next;
    }
}
