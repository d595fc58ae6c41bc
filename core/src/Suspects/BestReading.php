<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;

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

    public function __construct(private readonly Plan $plan)
    {
        $references = [];
        foreach ($plan->model->document['parts'] as $part) {
            $kind = $plan->model->document['kinds'][$part['kind']];
            foreach ($kind['references'] ?? [] as $terminal) {
                // two screws of one cabinet are one reference
                $references[$plan->places["{$part['id']}.$terminal"]] ??= "{$part['id']}.$terminal";
            }
        }
        $this->references = array_values($references);
        $this->pairs = $this->allPairs();
    }

    /** @return list<array{string, string}> */
    public function pairs(): array
    {
        return $this->pairs;
    }

    /**
     * @param array<string, array{Bench, array<string, mixed>}> $candidates those still in, with their states
     * @param array<string, float> $weights
     * @param bool $dc volts DC too
     * @return list<Choice> best first, ties by minutes
     */
    public function rank(array $candidates, array $weights, int $most = 10, bool $dc = false): array
    {
        if ($candidates === []) {
            return [];
        }
        $solutions = [];
        foreach ($candidates as $id => [$bench, $state]) {
            $bench->machine()->load(null, null, 0.0);
            $solutions[$id] = $bench->machine()->solution($state);
            $bench->reconnect($state);
        }
        [$anyBench, $anyState] = reset($candidates);
        $choices = [];
        $reachable = fn (string $place): bool => $anyBench->reaches($anyState, $place);
        $dead = true;
        foreach ($this->pairs as [$red, $black]) {
            if (! $reachable($red) || ! $reachable($black)) {
                continue;
            }
            [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
            $values = [];
            foreach ($solutions as $id => $s) {
                $values[$id] = $s->acVolts($a, $b);
                $dead = $dead && $values[$id] < 0.5;
            }
            $choices[] = $this->choice('vac', $red, $black, Mode::VoltsAc, $values, $weights);
            if ($dc) {
                $choices[] = $this->choice('vdc', $red, $black, Mode::VoltsDc, array_map(fn ($s) => $s->dcVolts($a, $b), $solutions), $weights);
            }
        }
        if ($dead) {
            foreach ($this->pairs as [$red, $black]) {
                if (in_array($black, $this->references, true) || ! $reachable($red) || ! $reachable($black)) {
                    continue;
                }
                [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
                $values = array_map(fn ($s) => Meter::exact(Mode::Ohms, $s, $a, $b), $solutions);
                $choices[] = $this->choice('ohm', $red, $black, Mode::Ohms, $values, $weights);
            }
        }
        foreach ($this->plan->model->document['parts'] as $part) {
            $seen = [];
            foreach ($candidates as $id => [$bench, $state]) {
                $seen[$id] = json_encode($bench->glance($state, $part['id']));
            }
            $bins = [];
            foreach ($seen as $id => $text) {
                $bins[(string) $text][] = (string) $id;
            }
            $choices[] = new Choice('look', $part['id'], null, Worth::bits($bins, $weights), Catalogue::ACTS['look']['minutes'], $bins);
        }
        usort($choices, fn (Choice $x, Choice $y) => [round($y->bits, 6), $x->minutes] <=> [round($x->bits, 6), $y->minutes]);

        return array_slice($choices, 0, $most);
    }

    /**
     * @param array<string, float> $values exact value by fault
     * @param array<string, float> $weights
     */
    private function choice(string $kind, string $red, string $black, Mode $mode, array $values, array $weights): Choice
    {
        $outcomes = [];
        foreach (Worth::bins($values, array_map(fn (float $v) => Meter::tolerance($mode, $v), $values)) as $bin) {
            $text = Meter::show($mode, $values[$bin[0]])->text();
            $outcomes[$text] = [...($outcomes[$text] ?? []), ...array_map(strval(...), $bin)];
        }

        return new Choice($kind, $red, $black, Worth::bits($outcomes, $weights), Catalogue::ACTS['leads']['minutes'], $outcomes);
    }

    /** @return list<array{string, string}> */
    private function allPairs(): array
    {
        $pairs = [];
        $model = $this->plan->model;
        foreach ($model->document['parts'] as $part) {
            $terminals = array_keys($model->document['kinds'][$part['kind']]['terminals']);
            foreach ($terminals as $i => $t) {
                foreach ($this->references as $reference) {
                    if ("{$part['id']}.$t" !== $reference) {
                        $pairs[] = ["{$part['id']}.$t", $reference];
                    }
                }
                if (count($terminals) <= 6) {
                    for ($j = $i + 1; $j < count($terminals); $j++) {
                        $pairs[] = ["{$part['id']}.$t", "{$part['id']}.{$terminals[$j]}"];
                    }
                }
            }
        }
        foreach ($model->document['wires'] as $wire) {
            $pairs[] = ["{$wire['id']}.a", "{$wire['id']}.b"];
            $pairs[] = [$wire['from'], $wire['to']]; // its joints too
        }

        return $pairs;
    }
}
