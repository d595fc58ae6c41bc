<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * All pipes, ducts or vents of one medium, joined as they are: what flows where, at what pressure, and which warm place
 * what flows comes from. Between events it is algebra; it is worked out again when a run of it has changed.
 *
 * Slot: offers; runs: [flow, pressure before, pressure behind] by the number of the run; joints: pressures; comes: for
 * each run with heat in it and for each joint, from which stores, with which share
 * ("=" and degrees for what comes from the open).
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-type Shares array<string, float>
 */
final class Network extends Primitive
{
    public const AT_ONCE = true;

    public const GIVEN = [
        'medium' => 'gas|oil|air|flue|water',
        'joints' => 'number',
        'runs' => 'runs',
        'rest' => 'number?',
        'holds' => 'holds?',
        'places' => 'places?',
        'carries' => 'number?',
    ];

    /** Rounds of mixing: as many as a stream passes joints before it comes round. */
    private const ROUNDS = 40;

    private const NEXT_TO_NONE = 1e-4;

    /**
     * @param Figures $p medium; joints: how many; runs: list of [id, joint, joint], -1 for the open; rest: pressure
     *     where nothing flows; holds: list of [store id, number of the run, conductance to what flows or null for all
     *     of it]; places: joint of each port; carries: heat per unit of flow and degree
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['offers' => null, 'runs' => [], 'joints' => [], 'stores' => [], 'comes' => []];
    }

    public function follows(): array
    {
        return array_column($this->p['runs'], 0);
    }

    public function reads(): array
    {
        return array_fill_keys($this->follows(), ['offer']);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $offers = [];
        foreach ($this->p['runs'] as [$id]) {
            $offers[] = $now->follow($id, 'offer') ?? [0.0, 0.0, null, false, 0.0];
        }
        if ($offers === $slot['offers']) {
            return $slot;
        }
        $runs = [];
        foreach ($this->p['runs'] as $i => [, $a, $b]) {
            $runs[] = [$a, $b, ...$offers[$i]];
        }
        [$joints, $flows] = Balance::of($this->p['joints'], $runs, (float) ($this->p['rest'] ?? 0.0));
        $each = [];
        foreach ($runs as $i => [$a, $b]) {
            $each[$i] = [$flows[$i], $a < 0 ? $offers[$i][4] : $joints[$a], $b < 0 ? $offers[$i][4] : $joints[$b]];
        }
        $slot = ['offers' => $offers, 'runs' => $each, 'joints' => $joints] + $slot;

        return ($this->p['holds'] ?? []) === [] ? $slot : $this->mixed($flows) + $slot;
    }

    /**
     * Which warm place what comes to each joint has been through last.
     *
     * @param list<float> $flows
     * @return array{stores: array<string, list<array{string, float}>>, comes: array<int, Shares>}
     */
    private function mixed(array $flows): array
    {
        $held = [];
        foreach ($this->p['holds'] as [$store, $run, $ua]) {
            $held[$run] = [$store, $ua];
        }
        $carries = (float) ($this->p['carries'] ?? 1.0);
        $comes = array_fill(0, $this->p['joints'], []);
        $most = max([0.0, ...array_map(abs(...), $flows)]);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $in = array_fill(0, $this->p['joints'], []);
            $sum = array_fill(0, $this->p['joints'], 0.0);
            foreach ($this->p['runs'] as $i => $run) {
                $q = $flows[$i];
                if (abs($q) <= self::NEXT_TO_NONE * $most) {
                    continue;
                }
                [$start, $end] = $q > 0 ? [$run[1], $run[2]] : [$run[2], $run[1]];
                if ($end < 0) {
                    continue;
                }
                $sum[$end] += abs($q);
                $before = $start < 0 ? $this->outside($run) : $comes[$start];
                $shares = $this->behind($before, $held[$i] ?? null, abs($q) * $carries);
                foreach ($shares as $store => $share) {
                    $in[$end][$store] = ($in[$end][$store] ?? 0.0) + $share * abs($q);
                }
            }
            $last = $comes;
            foreach ($in as $joint => $shares) {
                $comes[$joint] = array_map(fn (float $x): float => round($x / $sum[$joint], 5), $shares);
            }
            if ($comes === $last) {
                break;
            }
        }
        $stores = [];
        foreach ($held as $i => [$store, $ua]) {
            $q = $flows[$i];
            if (abs($q) <= self::NEXT_TO_NONE * $most) {
                continue;
            }
            $run = $this->p['runs'][$i];
            $start = $q > 0 ? $run[1] : $run[2];
            $g = abs($q) * $carries * self::touched($ua, abs($q) * $carries);
            foreach ($start < 0 ? $this->outside($run) : $comes[$start] as $from => $share) {
                if ($from !== $store && $share > 0) {
                    $stores[$store][] = [(string) $from, round($g * $share, 4)];
                }
            }
        }

        return ['stores' => $stores, 'comes' => $comes];
    }

    /**
     * What comes out of a run, of what went in.
     *
     * @param Shares $in
     * @param array{string, float|null}|null $held store and conductance
     * @return Shares
     */
    private function behind(array $in, ?array $held, float $stream): array
    {
        if ($held === null) {
            return $in;
        }
        $touched = self::touched($held[1], $stream);
        $out = [];
        foreach ($in as $store => $share) {
            if ($share * (1 - $touched) > 1e-6) {
                $out[$store] = $share * (1 - $touched);
            }
        }
        $out[$held[0]] = ($out[$held[0]] ?? 0.0) + $touched;

        return $out;
    }

    /** Effectiveness of an exchanger with one side at one temperature: 1 − exp(−UA/C) (any text on heat transfer). */
    private static function touched(?float $ua, float $stream): float
    {
        return $ua === null ? 1.0 : 1 - exp(-$ua / max(1e-9, $stream));
    }

    /**
     * @param array{0: string, 1: int, 2: int, 3?: float} $run
     * @return Shares
     */
    private function outside(array $run): array
    {
        return isset($run[3]) ? ['='.$run[3] => 1.0] : [];
    }
}
