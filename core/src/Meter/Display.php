<?php

declare(strict_types=1);

namespace OddSpark\Meter;

/**
 * What a display does in time: it follows a change in a moment and not at once, and keeps the smallest
 * and largest figure when asked to, of those that lasted long enough to be caught.
 *
 * Its state is a plain array, so that it can be kept between requests: value (exact, as it stands now),
 * since (tick), before (where the display came from), keeping, least, most.
 */
final class Display
{
    /** Time constants within the settling time: a two-hundredth is left. */
    private const CONSTANTS = 5.3;

    /** @return array<string, mixed> nothing shown yet */
    public static function fresh(bool $keeping = false): array
    {
        return ['value' => null, 'since' => 0, 'before' => null, 'keeping' => $keeping, 'least' => null, 'most' => null];
    }

    /**
     * The circuit offers another figure from this tick on.
     *
     * @param array<string, mixed> $display
     * @return array<string, mixed>
     */
    public static function follow(array $display, Mode $mode, float $exact, int $tick): array
    {
        if ($display['value'] !== null && self::same($display['value'], $exact)) {
            return $display;
        }
        $kept = self::kept($display, $mode, $tick);
        $before = $display['value'] === null ? INF : self::at($display, $mode, $tick);

        return [
            'value' => is_nan($exact) ? 'live' : (is_infinite($exact) ? 'open' : $exact),
            'since' => $tick,
            'before' => is_finite($before) ? $before : null,
        ] + $kept;
    }

    /**
     * The figure on it at a tick; the exact one as soon as it has settled.
     *
     * @param array<string, mixed> $display
     */
    public static function at(array $display, Mode $mode, int $tick): float
    {
        $value = self::number($display['value']);
        $before = $display['before'];
        $settles = Specification::of($mode)->settles;
        if ($before === null || ! is_finite($value) || ! is_finite($before) || $tick - $display['since'] >= $settles) {
            return $value;
        }

        return $value + ($before - $value) * exp(-self::CONSTANTS * ($tick - $display['since']) / $settles);
    }

    /**
     * With the figure that stands now taken in, if it has lasted.
     *
     * @param array<string, mixed> $display
     * @return array<string, mixed>
     */
    public static function kept(array $display, Mode $mode, int $tick): array
    {
        $value = $display['value'] === null ? NAN : self::number($display['value']);
        $lasted = $tick - $display['since'] >= Specification::of($mode)->settles;
        if ($display['keeping'] && $lasted && is_finite($value)) {
            $display['least'] = min($display['least'] ?? $value, $value);
            $display['most'] = max($display['most'] ?? $value, $value);
        }

        return $display;
    }

    /** @return float of a value as it is kept: a number, "open" or "live" */
    private static function number(float|int|string $value): float
    {
        return match ($value) {
            'live' => NAN,
            'open' => INF,
            default => (float) $value,
        };
    }

    private static function same(float|int|string $kept, float $exact): bool
    {
        $number = self::number($kept);

        return is_nan($number) ? is_nan($exact) : $number === $exact;
    }
}
