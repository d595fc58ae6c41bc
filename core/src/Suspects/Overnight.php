<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Notes\ComeBack;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Circuit\Solution;
use OddSpark\Instruments\Logger;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;

/**
 * Where a logger would tell most if it were left for the night: every suspect is run through the night with all that
 * technicians read between, and each pair of places is asked how far its chart would part them.
 *
 * @phpstan-type Stretches list<array{int, int, mixed}>
 */
final class Overnight
{
    /** Suspects that are run, likeliest first: the others weigh next to nothing. */
    private const MOST = 40;

    /** @var list<array{string, string, Mode}> */
    private array $places = [];

    /** @var \WeakMap<Solution, list<string>> figures of every pair, of solutions that were met before */
    private \WeakMap $figures;

    /** @var array<string, list<array{int, int, list<string>}>> by suspect */
    private array $nights = [];

    /**
     * @param array<string, array{Bench, BenchState}> $candidates of {@see Tracker::candidates}, as they are left
     * @param array<string, float> $weights
     * @param list<array{string, string}> $left pairs of places that a logger was left on
     */
    public function __construct(
        private readonly Plan $plan,
        array $candidates,
        private array $weights,
        private readonly array $left = [],
        private readonly Mode $mode = Mode::VoltsAc,
    ) {
        $this->figures = new \WeakMap();
        foreach ($left as [$from, $to]) {
            $this->places[] = [$from, $to, $mode];
        }
        $usual = UsualPairs::of($plan->model);
        foreach ($usual->pairs() as [$from, $to]) {
            if (! $usual->isOneConductor($from, $to)) {
                $this->places[] = [$from, $to, Mode::VoltsAc];
                $this->places[] = [$from, $to, Mode::Millivolts];
            }
        }
        arsort($weights);
        $this->weights = array_slice(array_intersect_key($weights, $candidates), 0, self::MOST, true);
        foreach (array_keys($this->weights) as $id) {
            $this->nights[$id] = $this->night(...$candidates[$id]);
        }
    }

    /** Bits that the chart of the logger which was left can be expected to tell. */
    public function told(): float
    {
        $pairs = array_keys($this->left);
        $charts = array_map(fn (array $night): array => self::chart($night, $pairs), $this->nights);

        return $pairs === []
            ? 0.0
            : $this->bits("logger {$this->mode->value} ".implode(' ', array_merge(...$this->left)), $charts);
    }

    /** @return array{from: string, to: string, mode: Mode, bits: float}|null null where no chart would tell anything */
    public function best(): ?array
    {
        $best = null;
        foreach ($this->places as $i => [$from, $to, $mode]) {
            $charts = array_map(fn (array $night): array => self::chart($night, [$i]), $this->nights);
            $bits = $this->bits("logger $mode->value $from $to", $charts);
            if ($bits > ($best['bits'] ?? 0.0) + 1e-9) {
                $best = ['from' => $from, 'to' => $to, 'mode' => $mode, 'bits' => $bits];
            }
        }

        return $best;
    }

    /** @return list<array{int, int, list<string>}> stretches, each with the figures of every pair */
    private function night(Bench $bench, BenchState $state): array
    {
        $end = $state->now() + ComeBack::NIGHT;
        $night = [[$state->now(), $end, $this->between($bench, $state)]];
        $bench->watch($state, $end, function (BenchState $s) use (&$night, $bench, $end): bool {
            $last = count($night) - 1;
            $figures = $this->between($bench, $s);
            if ($figures !== $night[$last][2]) {
                $night[$last][1] = $s->now();
                $night[] = [$s->now(), $end, $figures];
            }

            return false;
        });

        return $night;
    }

    /** @return list<string> what a logger would write down between each pair */
    private function between(Bench $bench, BenchState $state): array
    {
        $solution = $bench->machine()->solution($state);
        if (! isset($this->figures[$solution])) {
            $figures = [];
            foreach ($this->places as [$from, $to, $mode]) {
                $figures[] = (string) Logger::figure($mode, Meter::exact(
                    $mode,
                    $solution,
                    $this->plan->places[$from],
                    $this->plan->places[$to],
                ));
            }
            $this->figures[$solution] = $figures;
        }

        return $this->figures[$solution];
    }

    /**
     * @param list<array{int, int, list<string>}> $night
     * @param list<int> $pairs
     * @return Stretches of some pairs
     */
    private static function chart(array $night, array $pairs): array
    {
        $chart = [];
        foreach ($night as [$from, $to, $all]) {
            $last = count($chart) - 1;
            $figures = implode(' ', array_map(fn (int $pair): string => $all[$pair], $pairs));
            if ($last >= 0 && $chart[$last][2] === $figures) {
                $chart[$last][1] = $to;
            } else {
                $chart[] = [$from, $to, $figures];
            }
        }

        return $chart;
    }

    /**
     * Bits that a chart would tell.
     *
     * @param array<string, Stretches> $charts by suspect
     */
    private function bits(string $channel, array $charts): float
    {
        $weights = $this->weights;
        $classes = [];
        foreach ($charts as $id => $chart) {
            foreach ($classes as $first => $class) {
                if (LoggerChart::agree($channel, $charts[$first], $chart)) {
                    $classes[$first][$id] = $weights[$id];

                    continue 2;
                }
            }
            $classes[$id] = [$id => $weights[$id]];
        }
        $all = array_sum($weights);
        $left = array_map(fn (array $class): float => array_sum($class) / $all * Suspects::bits($class), $classes);

        return Suspects::bits($weights) - array_sum($left);
    }
}
