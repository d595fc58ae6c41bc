<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

/** How the loads stood over a stretch of time, and where another wiring's stood otherwise. */
final class Track
{
    /** By how much a change may come sooner or later, as heat has its way: ms, or a share of how long it stood. */
    private const EDGE = 4000;

    private const EDGE_SHARE = 0.1;

    /** For how long it must stand otherwise to count, ms; of what stood shorter, a second. */
    private const COUNTS = 2000;

    private const SHORT = 1000;

    /** @var list<array{int, array<string, float|string>}> from a tick on */
    private array $stood = [];

    private int $end = 0;

    /** Whether it changed so often that it was not looked at to its end: relays that drop out by what they do. */
    public bool $chatters = false;

    /** @param array<string, float|string> $at */
    public function see(int $tick, array $at): void
    {
        $last = array_key_last($this->stood);
        if ($last !== null && $this->stood[$last][0] === $tick) {
            $this->stood[$last][1] = $at;
        } elseif ($last === null || $this->stood[$last][1] !== $at) {
            $this->stood[] = [$tick, $at];
        }
        $this->end = max($this->end, $tick);
    }

    public function until(int $tick): void
    {
        $this->end = max($this->end, $tick);
    }

    /** @return array<string, float|string> at its end */
    public function last(): array
    {
        return $this->stood[count($this->stood) - 1][1];
    }

    /**
     * Stretches in which one load stood alike.
     *
     * @return list<array{int, int, float|string}> from, to, how it stood
     */
    public function of(string $id): array
    {
        $stretches = [];
        foreach ($this->stood as $i => [$from, $at]) {
            $to = $this->stood[$i + 1][0] ?? $this->end;
            $last = count($stretches) - 1;
            if ($last >= 0 && Loads::areAlike($stretches[$last][2], $at[$id])) {
                $stretches[$last][1] = $to;
            } else {
                $stretches[] = [$from, $to, $at[$id]];
            }
        }

        return $stretches;
    }

    /**
     * Where a load first stands otherwise in another track, and for long enough that it counts; null where it never
     * does.
     *
     * @return array{int, float|string, float|string}|null tick, how here, how there
     */
    public function parts(self $other, string $id): ?array
    {
        foreach ($this->of($id) as [$from, $to, $how]) {
            $edge = (int) max(self::EDGE, self::EDGE_SHARE * ($to - $from));
            [$begins, $ends] = [$from === 0 ? 0 : $from + $edge, $to === $this->end ? $to : $to - $edge];
            $otherwise = 0;
            foreach ($other->of($id) as [$a, $b, $there]) {
                $overlap = min($b, $ends) - max($a, $begins);
                if ($overlap <= 0 || Loads::areAlike($how, $there)) {
                    continue;
                }
                $otherwise += $overlap;
                if ($otherwise >= min(self::COUNTS, max(self::SHORT, $ends - $begins))) {
                    return [max($a, $begins), $how, $there];
                }
            }
        }

        return null;
    }

    /**
     * How all stood after each change, with those that follow on each other within some time as one.
     *
     * @return list<array{int, array<string, float|string>}> from a tick on
     */
    public function steps(int $within): array
    {
        $steps = [];
        $last = null;
        foreach ($this->stood as [$tick, $at]) {
            if ($last !== null && $tick - $last < $within) {
                $steps[count($steps) - 1][1] = $at;
            } else {
                $steps[] = [$tick, $at];
            }
            $last = $tick;
        }

        return $steps;
    }

    /** Whether nothing changes for some time before and after a moment, ms. */
    public function isSteady(int $tick, int $around): bool
    {
        $changes = array_slice(array_column($this->stood, 0), 1);

        return array_filter($changes, fn (int $at): bool => abs($at - $tick) < $around) === [];
    }

    /** When a load is first fed; null where it never is. */
    public function firstOn(string $id): ?int
    {
        foreach ($this->stood as [$tick, $at]) {
            if (Loads::isOn($at[$id])) {
                return $tick;
            }
        }

        return null;
    }
}
