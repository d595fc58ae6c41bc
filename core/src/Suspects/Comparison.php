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
 * person's: two seconds, or a tenth of the time since he last did something. What one of the two showed so lately, or
 * so shortly before something was done, that the other may have been about to show it, is not held against it.
 *
 * @phpstan-import-type Shown from Reading
 */
final class Comparison
{
    private const LEAST_TICKS = 2000;

    private const SHARE = 0.1;

    /** How much later one good appliance comes to something than another, at most; some 0.1 s are met. Ours. */
    private const SCATTER_TICKS = 500;

    /** Both are known to the end. */
    private const WHOLE = PHP_INT_MAX;

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
     * @param int $until up to which both are known
     */
    public function agrees(
        array $observed,
        array $expected,
        int $since = 0,
        int $until = self::WHOLE,
    ): bool {
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

        return $this->agreesBy($observed, $expected, $this->alike(...), $since, $until);
    }

    /**
     * The same with another notion of what is alike.
     *
     * @param array<string, list<array{int, int, mixed}>> $observed
     * @param array<string, list<array{int, int, mixed}>> $expected
     * @param callable(string): (callable(mixed, mixed): bool) $alike by channel
     */
    public function agreesBy(
        array $observed,
        array $expected,
        callable $alike,
        int $since = 0,
        int $until = self::WHOLE,
    ): bool {
        foreach ($observed + $expected as $channel => $_) {
            $o = $observed[$channel] ?? [];
            $e = $expected[$channel] ?? [];
            $same = $alike((string) $channel);
            if (
                ! $this->covered($o, $e, $same, $since, $until, true) ||
                ! $this->covered($e, $o, fn (mixed $a, mixed $b) => $same($b, $a), $since, $until, false)
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
    private function covered(
        array $these,
        array $those,
        callable $same,
        int $since,
        int $until,
        bool $isObserved,
    ): bool {
        foreach ($these as [$from, $to, $value]) {
            $late = $this->tolerance($to);
            $early = $this->tolerance($from);
            if ($to + 2 * $late < $since && $from + $early <= $since) {
                continue; // it was judged with all that lies near it
            }
            if ($to - $from > $early + $late) {
                foreach ($those as [$f, $t, $v]) {
                    if (
                        $t > $from + $early &&
                        $f < $to - $late &&
                        ! $same($value, $v) &&
                        ! $this->passing($f, $t, $these, $v, $same, $this->isOpen($f, $until, ! $isObserved))
                    ) {
                        return false;
                    }
                }

                continue;
            }
            if (
                $those !== [] &&
                ! $this->isOpen($from, $until, $isObserved) &&
                ! $this->isNear($from, $to, $value, $those, $same)
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<array{int, int, mixed}> $those
     * @param callable(mixed, mixed): bool $same
     */
    private function isNear(int $from, int $to, mixed $value, array $those, callable $same): bool
    {
        $early = $this->tolerance($from);
        $late = $this->tolerance($to);
        foreach ($those as [$f, $t, $v]) {
            if ($t >= $from - $early && $f <= $to + $late && $same($value, $v)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether what began here may have its like in the other that is not known yet, or that an act has forestalled.
     * What an act brings about at once is no matter of the moment for a candidate; where it was observed it may have
     * come by itself just then, and {@see fresh} asks the candidate. Whether something came before one did something
     * oneself is known well: forestalled is what would have come later by no more than good parts scatter.
     */
    private function isOpen(int $from, int $until, bool $isObserved): bool
    {
        if ($until === self::WHOLE || (! $isObserved && in_array($from, $this->acts, true))) {
            return false;
        }
        $by = $from + $this->tolerance($from);
        $forestalled = $isObserved ? $by : $from + self::SCATTER_TICKS;
        foreach ($this->acts as $act) {
            if ($act > $from && $act <= $forestalled) {
                return true;
            }
        }

        return $by > $until;
    }

    /**
     * What began so lately that a candidate may be about to show its like, with nothing done since.
     *
     * @param array<string, list<array{int, int, mixed}>> $observed
     * @param int $done up to which acts have been done
     * @return array{array<string, list<array{int, int, mixed}>>, int} and the tick by which it would
     */
    public function fresh(array $observed, int $until, int $done): array
    {
        $fresh = [];
        $latest = $until;
        $since = max([0, ...array_filter($this->acts, fn (int $act): bool => $act <= $done)]);
        foreach ($observed as $channel => $stretches) {
            for ($i = count($stretches) - 1; $i >= 0 && $stretches[$i][0] >= $since; $i--) {
                $by = (int) ceil($stretches[$i][0] + $this->tolerance($stretches[$i][0]));
                if ($by > $until && ! Logger::isOf($channel)) {
                    $fresh[$channel][] = $stretches[$i];
                    $latest = max($latest, $by);
                }
            }
        }

        return [$fresh, $latest];
    }

    /**
     * Whether each has its like near by, in a channel in which there is anything.
     *
     * @param array<string, list<array{int, int, mixed}>> $fresh
     * @param array<string, list<array{int, int, mixed}>> $expected
     */
    public function shows(array $fresh, array $expected): bool
    {
        foreach ($fresh as $channel => $stretches) {
            foreach (($expected[$channel] ?? []) === [] ? [] : $stretches as [$from, $to, $value]) {
                if (! $this->isNear($from, $to, $value, $expected[$channel], $this->alike($channel))) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return callable(mixed, mixed): bool by which a value that was observed is as one that is expected */
    private function alike(string $channel): callable
    {
        return str_starts_with($channel, 'meter ') ? self::sameDisplay(...) : fn (mixed $a, mixed $b) => $a === $b;
    }

    /**
     * A short stretch of the other that has its like near by here, or may have: it is judged from its own side.
     *
     * @param list<array{int, int, mixed}> $these
     * @param callable(mixed, mixed): bool $same
     */
    private function passing(int $from, int $to, array $these, mixed $value, callable $same, bool $isOpen): bool
    {
        return $to - $from <= $this->tolerance($from) + $this->tolerance($to) &&
            ($isOpen || $this->isNear($from, $to, $value, $these, fn (mixed $a, mixed $b) => $same($b, $a)));
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
