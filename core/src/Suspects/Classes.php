<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Scale;

/**
 * Which faults of a model any observation can tell apart: of all that {@see Evidence} holds, whether something
 * differs by more than meter and clock can miss, whichever of the two is the truth.
 */
final class Classes
{
    /** @var array<string, bool> whether two states read the same everywhere */
    private array $alike = [];

    private readonly Comparison $comparison;

    public function __construct(private readonly Evidence $evidence)
    {
        $this->comparison = $evidence->comparison();
    }

    /**
     * @return list<list<string>> the classes, largest first: faults that nothing here tells apart,
     *     directly or through others
     */
    public function all(): array
    {
        return $this->group(fn (string $a, string $b) => $this->apart($a, $b));
    }

    /** Whether any observation tells the two apart. */
    public function apart(string $a, string $b): bool
    {
        return $this->apartByLooks($a, $b) ||
            $this->apartByOhms($a, $b) ||
            $this->apartByTaps($a, $b) ||
            $this->apartLive($a, $b);
    }

    /**
     * Pairs that are told apart, but only by when: with the same things to see, hear and measure at
     * one time or another of the visit, and with the power off.
     *
     * @return list<array{string, string}>
     */
    public function pairsByWhen(): array
    {
        return $this->pairsWhere(
            fn (string $a, string $b) => ! $this->apartByLooks($a, $b) &&
                ! $this->apartByOhms($a, $b) &&
                ! $this->apartByWhat($a, $b) &&
                $this->apartLive($a, $b),
        );
    }

    /**
     * Pairs that only ohms with the power off tell apart.
     *
     * @return list<array{string, string}>
     */
    public function pairsByOhms(): array
    {
        return $this->pairsWhere(
            fn (string $a, string $b) => ! $this->apartByLooks($a, $b) &&
                $this->apartByOhms($a, $b) &&
                ! $this->apartLive($a, $b),
        );
    }

    /** @return list<array{string, string}> */
    private function pairsWhere(callable $is): array
    {
        $found = [];
        $ids = array_keys($this->evidence->of);
        foreach ($ids as $i => $a) {
            for ($j = $i + 1; $j < count($ids); $j++) {
                if ($is($a, $ids[$j])) {
                    $found[] = [$a, $ids[$j]];
                }
            }
        }

        return $found;
    }

    /** @return list<list<string>> */
    private function group(callable $apart): array
    {
        $classes = [];
        foreach (array_keys($this->evidence->of) as $id) {
            $joined = [$id];
            foreach ($classes as $c => $members) {
                foreach ($members as $member) {
                    if (! $apart($id, $member)) {
                        $joined = [...$members, ...$joined];
                        unset($classes[$c]);
                        break;
                    }
                }
            }
            $classes[] = $joined;
        }
        usort($classes, fn ($a, $b) => count($b) <=> count($a));

        return $classes;
    }

    private function apartByLooks(string $a, string $b): bool
    {
        return $this->evidence->of[$a]['looks'] !== $this->evidence->of[$b]['looks'] ||
            $this->evidence->of[$a]['hands'] !== $this->evidence->of[$b]['hands'];
    }

    private function apartByOhms(string $a, string $b): bool
    {
        foreach ($this->evidence->of[$a]['ohms'] as $i => $ohm) {
            if (! self::same(Mode::Ohms, $ohm, $this->evidence->of[$b]['ohms'][$i])) {
                return true;
            }
        }

        return false;
    }

    private function apartByTaps(string $a, string $b): bool
    {
        foreach ($this->evidence->of[$a]['taps'] as $tap => $value) {
            if (! self::same($this->evidence->tapMode($tap), $value, $this->evidence->of[$b]['taps'][$tap])) {
                return true;
            }
        }

        return false;
    }

    private function apartLive(string $a, string $b): bool
    {
        $x = $this->evidence->of[$a]['record'];
        $y = $this->evidence->of[$b]['record'];

        return ! $this->comparison->agreesBy($x, $y, fn (string $channel) => $channel === 'circuit'
            ? fn (int $p, int $q) => $this->readAlike($p, $q)
            : fn (mixed $p, mixed $q) => $p === $q);
    }

    /** Whether the one shows something, at any time, that the other never shows. */
    private function apartByWhat(string $a, string $b): bool
    {
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ($this->evidence->of[$one]['record'] as $channel => $stretches) {
                foreach ($stretches as [$from, $to, $value]) {
                    if ($to - $from < 1000) {
                        continue;
                    }
                    $found = false;
                    foreach ($this->evidence->of[$other]['record'][$channel] ?? [] as [, , $v]) {
                        if ($channel === 'circuit' ? $this->readAlike($value, $v) : $value === $v) {
                            $found = true;
                            break;
                        }
                    }
                    if (! $found) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private function readAlike(int $p, int $q): bool
    {
        if ($p === $q) {
            return true;
        }
        $key = $p < $q ? "$p-$q" : "$q-$p";
        if (! isset($this->alike[$key])) {
            $this->alike[$key] = true;
            foreach ($this->evidence->volts[$p] as $i => $v) {
                if (! self::same(Mode::VoltsAc, $v, $this->evidence->volts[$q][$i])) {
                    $this->alike[$key] = false;
                    break;
                }
            }
        }

        return $this->alike[$key];
    }

    private static function same(Scale $mode, float $a, float $b): bool
    {
        if (! is_finite($a) || ! is_finite($b)) {
            return is_nan($a) === is_nan($b) && is_infinite($a) === is_infinite($b);
        }

        // neither display can pass for the other
        return abs($a - $b) <= Meter::tolerance($mode, $a) + Meter::tolerance($mode, $b);
    }
}
