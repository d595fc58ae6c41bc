<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Bench\Outcome;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Logger;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Reading;

/**
 * Whether what was perceived could have come from what a candidate would have shown.
 *
 * Values are compared as classes, meter displays within the meter's tolerance, and moments within a
 * person's: two seconds, or a tenth of the time since he last did something.
 *
 * @phpstan-import-type Shown from Reading
 */
final class Comparison
{
    private const LEAST_TICKS = 2000;

    private const SHARE = 0.1;

    /** @var array<int, float> tolerances that were worked out, by tick */
    private array $tolerances = [];

    /** @param list<int> $acts ticks of the acts, ascending */
    public function __construct(private readonly array $acts) {}

    /**
     * Of one who did some acts: a moment is known to him from the last of them, or from when he was there again.
     *
     * @param list<array{Act, Outcome}> $entries
     */
    public static function after(array $entries): self
    {
        return new self(array_map(
            fn (array $e): int => $e[0]->tick + ($e[1]->refused === null ? $e[0]->passes() : 0),
            $entries,
        ));
    }

    /**
     * @param array<string, list<array{int, int, mixed}>> $observed
     * @param array<string, list<array{int, int, mixed}>> $expected
     * @param int $since up to which they have been found to agree before
     */
    public function agrees(array $observed, array $expected, int $since = 0): bool
    {
        foreach ($observed as $channel => $stretches) { // what is the same to the tick needs no second look
            if ($stretches === ($expected[$channel] ?? null)) {
                unset($observed[$channel], $expected[$channel]);
            }
        }
        $channels = array_map(strval(...), array_keys($observed + $expected));
        foreach (array_filter($channels, Logger::isOf(...)) as $channel) {
            if (! LoggerChart::agree($channel, $observed[$channel] ?? [], $expected[$channel] ?? [])) {
                return false;
            }
            unset($observed[$channel], $expected[$channel]);
        }

        return $this->agreesBy($observed, $expected, fn (string $channel) => str_starts_with($channel, 'meter ')
            ? self::sameDisplay(...)
            : fn (mixed $a, mixed $b) => $a === $b, $since);
    }

    /**
     * The same with another notion of what is alike.
     *
     * @param array<string, list<array{int, int, mixed}>> $observed
     * @param array<string, list<array{int, int, mixed}>> $expected
     * @param callable(string): (callable(mixed, mixed): bool) $alike by channel
     */
    public function agreesBy(array $observed, array $expected, callable $alike, int $since = 0): bool
    {
        foreach ($observed + $expected as $channel => $_) {
            $o = $observed[$channel] ?? [];
            $e = $expected[$channel] ?? [];
            $same = $alike((string) $channel);
            if (
                ! $this->covered($o, $e, $same, $since) ||
                ! $this->covered($e, $o, fn (mixed $a, mixed $b) => $same($b, $a), $since)
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * A display against an exact value: a number, "open" or "live".
     *
     * @param Shown $shown
     */
    public static function sameDisplay(array $shown, float|int|string $exact): bool
    {
        return Meter::agrees(Bag::reading($shown), match ($exact) {
            'live' => NAN,
            'open' => INF,
            default => (float) $exact,
        });
    }

    /**
     * Every stretch of the one has its like in the other: throughout its inside if it is long, and
     * somewhere near if it is short.
     *
     * @param list<array{int, int, mixed}> $these
     * @param list<array{int, int, mixed}> $those
     * @param callable(mixed, mixed): bool $same
     */
    private function covered(array $these, array $those, callable $same, int $since): bool
    {
        foreach ($these as [$from, $to, $value]) {
            $late = $this->tolerance($to);
            if ($to + 2 * $late < $since) {
                continue; // it was judged with all that lies near it
            }
            $early = $this->tolerance($from);
            if ($to - $from > $early + $late) {
                foreach ($those as [$f, $t, $v]) {
                    if (
                        $t > $from + $early &&
                        $f < $to - $late &&
                        ! $same($value, $v) &&
                        ! $this->passing($f, $t, $these, $v, $same)
                    ) {
                        return false;
                    }
                }

                continue;
            }
            $found = false;
            foreach ($those as [$f, $t, $v]) {
                if ($t >= $from - $early && $f <= $to + $late && $same($value, $v)) {
                    $found = true;
                    break;
                }
            }
            if (! $found && $those !== []) {
                return false;
            }
        }

        return true;
    }

    /**
     * A short stretch of the other that has its like near by here: it is judged from its own side.
     *
     * @param list<array{int, int, mixed}> $these
     * @param callable(mixed, mixed): bool $same
     */
    private function passing(int $from, int $to, array $these, mixed $value, callable $same): bool
    {
        $early = $this->tolerance($from);
        $late = $this->tolerance($to);
        if ($to - $from > $early + $late) {
            return false;
        }
        foreach ($these as [$f, $t, $v]) {
            if ($t >= $from - $early && $f <= $to + $late && $same($v, $value)) {
                return true;
            }
        }

        return false;
    }

    /** How well a person knows a moment, ticks. */
    public function tolerance(int $tick): float
    {
        if (isset($this->tolerances[$tick])) {
            return $this->tolerances[$tick];
        }
        $last = 0;
        foreach ($this->acts as $act) {
            if ($act > $tick) {
                break;
            }
            $last = $act;
        }

        return $this->tolerances[$tick] = max(self::LEAST_TICKS, self::SHARE * ($tick - $last));
    }
}
