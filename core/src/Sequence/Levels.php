<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * What a control gives beside on and off: levels in per cent, by state, each steady or going with what an input
 * measures, as a burner does with the water. One that goes along moves in steps, and only when it is most of a step
 * off, so that it does not hunt about an edge.
 *
 * @phpstan-type Point array{int|float, int|float}
 * @phpstan-type Level int|float|array{input: string, at: array{Point, Point}}
 */
final class Levels
{
    private const STEP = 5.0;

    /** Of a step: how far off it stands before it moves. */
    private const SLACK = 0.75;

    /**
     * @param array<string, Level> $row of the state
     * @param array<string, float> $stand what they are at
     * @param array<string, Input> $inputs of the control
     * @return array<string, float>
     */
    public static function at(array $row, array $stand, array $inputs, Surroundings $now): array
    {
        $levels = [];
        foreach ($row as $name => $level) {
            if (! is_array($level)) {
                $levels[$name] = (float) $level;

                continue;
            }
            $wanted = self::along($level['at'], $inputs[$level['input']]->value($now));
            $is = $stand[$name] ?? null;
            $levels[$name] = $is !== null && abs($wanted - $is) < self::SLACK * self::STEP - 1e-6
                ? $is
                : round($wanted / self::STEP) * self::STEP;
        }

        return $levels;
    }

    /**
     * First tick at which one of them moves.
     *
     * @param array<string, Level> $row
     * @param array<string, float> $stand
     * @param array<string, Input> $inputs
     */
    public static function next(array $row, array $stand, array $inputs, Surroundings $now): int
    {
        $next = PHP_INT_MAX;
        foreach ($row as $name => $level) {
            $of = is_array($level) ? $inputs[$level['input']]->followed() : null;
            if ($of === null || ! isset($stand[$name])) {
                continue;
            }
            [[$x, $low], [$y, $high]] = $level['at'];
            $edges = [];
            foreach ([-1, 1] as $way) {
                $edge = $stand[$name] + $way * self::SLACK * self::STEP;
                if ($edge > min($low, $high) && $edge < max($low, $high)) {
                    $edges[] = $x + (($edge - $low) / ($high - $low)) * ($y - $x);
                }
            }
            $next = min($next, $now->crossing($of, $edges));
        }

        return $next;
    }

    /** @param array{Point, Point} $at */
    private static function along(array $at, float $value): float
    {
        [[$x, $low], [$y, $high]] = $at;
        $share = min(1.0, max(0.0, ($value - $x) / ($y - $x)));

        return $low + $share * ($high - $low);
    }

    /**
     * @param array<string, int|float|array{input?: string, at?: list<list<int|float|string>>}> $row
     * @param list<string> $inputs
     * @return array{string, string}|null pointer within, and what is wrong
     */
    public static function fault(array $row, array $inputs): ?array
    {
        $isShare = fn (mixed $x): bool => (is_int($x) || is_float($x)) && $x >= 0 && $x <= 100;
        foreach ($row as $name => $level) {
            if (! is_array($level)) {
                if (! $isShare($level)) {
                    return ["/$name", Words::say('sequence.levels.must_be_0_to_100')];
                }

                continue;
            }
            if (! in_array($level['input'] ?? '', $inputs, true)) {
                return ["/$name/input", Words::say('sequence.levels.must_be_one_of_the', [
                    'inputs' => implode(', ', $inputs),
                ])];
            }
            [$from, $to] = [$level['at'][0] ?? null, $level['at'][1] ?? null];
            $isPair = fn (mixed $p): bool => is_array($p) && is_numeric($p[0] ?? null) && $isShare($p[1] ?? null);
            if (! $isPair($from) || ! $isPair($to) || $from[0] == $to[0]) {
                return ["/$name/at", Words::say('sequence.levels.must_be_two_pairs_a')];
            }
        }

        return null;
    }
}
