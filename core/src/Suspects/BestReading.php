<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Circuit\Solution;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;

/**
 * The readings that could be taken at this moment, ranked by the bits they are expected to gain.
 *
 * A candidate's outcome is certain, so what a reading is expected to tell is the entropy of its
 * outcomes over the suspects (de Kleer & Williams, Artificial Intelligence 32 (1987) 97). Outcomes
 * that the meter could not tell apart are one. Ohms are proposed only where no suspect would have
 * the circuit live. The meter's own 10 MΩ is left out here, as it is small against what is read.
 */
final class BestReading
{
    /** @var list<array{string, string}> pairs of places: across parts and wires, and to the references */
    private readonly array $pairs;

    /** @var list<string> */
    private readonly array $references;

    private readonly UsualPairs $usual;

    /** Bits under which a reading is none that tells. */
    private const TELLS = 1.0e-3;

    /** @var array<string, float> by mode */
    private static array $near = [];

    public function __construct(private readonly Plan $plan)
    {
        $references = [];
        foreach ($plan->model->parts() as $part) {
            foreach ($part->kind->references as $terminal) {
                // two screws of one cabinet are one reference
                $references[$plan->places["{$part->id}.$terminal"]] ??= "{$part->id}.$terminal";
            }
        }
        $this->references = array_values($references);
        $this->usual = UsualPairs::of($plan->model);
        $this->pairs = $this->allPairs();
    }

    /** @return list<array{string, string}> all that two leads could be put on and that could tell something */
    public function pairs(): array
    {
        return $this->pairs;
    }

    /**
     * What a technician would read; where nothing of that tells anything, whatever does.
     *
     * @param array<string, array{Bench, BenchState}> $candidates those still in, with their states
     * @param array<string, float> $weights
     * @param bool $dc volts DC too
     * @param float $least bits that a choice must be worth to be listed
     * @return list<Choice> best first, ties by minutes
     */
    public function rank(array $candidates, array $weights, int $most = 10, bool $dc = false, float $least = 0.0): array
    {
        $usual = $this->ranked($this->usual->pairs(), $candidates, $weights, $most, $dc, $least);
        $tells = $usual !== [] && $usual[0]->bits > self::TELLS;

        return $tells ? $usual : $this->ranked($this->pairs, $candidates, $weights, $most, $dc, $least);
    }

    /**
     * @param list<array{string, string}> $pairs
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return list<Choice>
     */
    private function ranked(array $pairs, array $candidates, array $weights, int $most, bool $dc, float $least): array
    {
        if ($candidates === []) {
            return [];
        }
        // suspects whose circuits are one and the same now are asked once
        $solutions = $ids = $shares = [];
        foreach ($candidates as $id => [$bench, $state]) {
            $solution = $bench->machine()->solution($bench->withoutMeter($state));
            $which = spl_object_id($solution);
            $solutions[$which] = $solution;
            $ids[$which][] = (string) $id;
            $shares[$which] = ($shares[$which] ?? 0.0) + ($weights[$id] ?? 0.0);
        }
        [$anyBench, $anyState] = reset($candidates);
        $reached = [];
        $reachable = function (string $place) use ($anyBench, $anyState, &$reached): bool {
            return $reached[$place] ??= $anyBench->reaches($anyState, $place);
        };
        $found = [];
        $offer = function (string $kind, Mode $mode, string $red, string $black, array $values) use (
            &$found,
            $shares,
            $least,
        ): void {
            $bits = self::bits($mode, $values, $shares);
            if ($bits >= $least) {
                $found[] = [$kind, $mode, $red, $black, $values, $bits];
            }
        };
        $dead = true;
        $pairs = array_values(array_filter($pairs, fn (array $p): bool => $reachable($p[0]) && $reachable($p[1])));
        $nodes = array_map(fn (array $p) => [$this->plan->places[$p[0]], $this->plan->places[$p[1]]], $pairs);
        $volts = array_map(fn (Solution $s) => $s->acVoltsOf($nodes), $solutions);
        foreach ($pairs as $i => [$red, $black]) {
            [$a, $b] = $nodes[$i];
            $values = array_combine(array_keys($volts), array_column($volts, $i));
            $dead = $dead && max($values) < 0.5;
            if ($this->usual->isOneConductor($red, $black)) { // nobody goes by hundredths along sound copper
                $values = array_map(fn (float $v): float => $v < UsualPairs::DROP_V ? 0.0 : $v, $values);
            }
            $offer('vac', Mode::VoltsAc, $red, $black, $values);
            if ($dc) {
                $offer(
                    'vdc',
                    Mode::VoltsDc,
                    $red,
                    $black,
                    array_map(fn (Solution $s) => $s->dcVolts($a, $b), $solutions),
                );
            }
        }
        if ($dead) {
            foreach ($pairs as [$red, $black]) {
                if (in_array($black, $this->references, true)) {
                    continue;
                }
                [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
                $offer(
                    'ohm',
                    Mode::Ohms,
                    $red,
                    $black,
                    array_map(fn (Solution $s) => Meter::exact(Mode::Ohms, $s, $a, $b), $solutions),
                );
            }
        }
        foreach ($this->plan->model->parts() as $part) {
            if (! $anyBench->isInSight($anyState, $part->id)) {
                continue;
            }
            $bins = [];
            foreach ($candidates as $id => [$bench, $state]) {
                $bins[(string) json_encode($bench->look($state, $part->id))][] = (string) $id;
            }
            $bits = InformationGain::bits($bins, $weights);
            if ($bits >= $least) {
                $found[] = ['look', null, $part->id, null, $bins, $bits];
            }
        }
        [$looking, $reading] = [Catalogue::minutes('look'), Catalogue::minutes('leads')];
        usort(
            $found,
            fn (array $x, array $y) => [round($y[5], 6), $x[1] === null ? $looking : $reading] <=> [
                round($x[5], 6),
                $y[1] === null ? $looking : $reading,
            ],
        );

        return array_map(
            fn (array $f) => $f[1] === null
                ? new Choice('look', $f[2], null, $f[5], $looking, $f[4])
                : new Choice($f[0], $f[2], $f[3], $f[5], $reading, self::outcomes($f[1], $f[4], $ids)),
            array_slice($found, 0, $most),
        );
    }

    /**
     * What a reading is expected to tell, bits: as {@see InformationGain} has it, for figures most of which are the
     * same.
     *
     * @param non-empty-array<int, float> $values exact value by solution
     * @param array<int, float> $shares weight by solution
     */
    private static function bits(Mode $mode, array $values, array $shares): float
    {
        // closer than this nothing is told apart
        $near = self::$near[$mode->value] ??= 2 * Meter::tolerance($mode, 0.0);
        if (max($values) - min($values) <= $near) { // INF less INF is no number, and no less
            return 0.0;
        }
        asort($values);
        $sums = [];
        $sum = 0.0;
        $last = null;
        foreach ($values as $which => $value) {
            if (
                $last !== null &&
                ($value === INF
                    ? $last !== INF
                    : $value - $last > $near &&
                        $value - $last > Meter::tolerance($mode, $value) + Meter::tolerance($mode, $last))
            ) {
                $sums[] = $sum;
                $sum = 0.0;
            }
            $sum += $shares[$which];
            $last = $value;
        }
        $sums[] = $sum;

        return count($sums) === 1 ? 0.0 : Suspects::bits($sums);
    }

    /**
     * @param array<int, float> $values exact value by solution
     * @param array<int, list<string>> $ids suspects by solution
     * @return array<string, list<string>> what would be shown => the suspects that would show it
     */
    private static function outcomes(Mode $mode, array $values, array $ids): array
    {
        $outcomes = [];
        foreach (
            InformationGain::bins($values, array_map(fn (float $v) => Meter::tolerance($mode, $v), $values)) as $bin
        ) {
            $text = Meter::show($mode, $values[$bin[0]])->text();
            foreach ($bin as $which) {
                $outcomes[$text] = [...($outcomes[$text] ?? []), ...$ids[$which]];
            }
        }

        return $outcomes;
    }

    /** @return list<array{string, string}> */
    private function allPairs(): array
    {
        $pairs = [];
        $model = $this->plan->model;
        foreach ($model->parts() as $part) {
            $terminals = array_keys($part->kind->terminals);
            foreach ($terminals as $i => $t) {
                foreach ($this->references as $reference) {
                    if ("{$part->id}.$t" !== $reference) {
                        $pairs[] = ["{$part->id}.$t", $reference];
                    }
                }
                if (count($terminals) <= 6) {
                    for ($j = $i + 1; $j < count($terminals); $j++) {
                        $pairs[] = ["{$part->id}.$t", "{$part->id}.{$terminals[$j]}"];
                    }
                }
            }
        }
        foreach ($model->wires() as $wire) {
            $pairs[] = ["{$wire->id}.a", "{$wire->id}.b"];
            $pairs[] = [$wire->from, $wire->to]; // its joints too
        }
        $all = [];
        foreach ([...$this->usual->pairs(), ...$pairs] as [$red, $black]) { // none twice with its leads exchanged
            if (! isset($all["$black $red"])) {
                $all["$red $black"] ??= [$red, $black];
            }
        }

        return array_values($all);
    }
}
