<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Sites;
use OddSpark\Wiring\Nets;

/**
 * Which two places a technician puts his leads on: both on one circuit, across a load, a switch or to its own common;
 * line voltage to ground; the two ends of a wire or of one part that is on no circuit. Nothing across circuits that are
 * isolated from one another, and nothing that two leads do not span.
 *
 * Common practice, no source.
 */
final class UsualPairs
{
    /** Less than this along sound conductors is no reading that anybody goes by, V. */
    public const DROP_V = 1.0;

    /** @var \WeakMap<Model, self>|null what every step of every attempt asks of the same model */
    private static ?\WeakMap $known = null;

    /** Terminals up to which each of a part is read against each other of it. */
    private const FEW = 6;

    /** @var list<array{string, string}> */
    private array $pairs = [];

    /** @var array<string, true> the same, for who asks of two places */
    private array $usual = [];

    private readonly Nets $nets;

    private readonly Sites $sites;

    /** @var array<string, list<string>> terminals by net */
    private array $on = [];

    /** @var array<string, array<int, true>> by net: the supplies in whose circuits it lies */
    private array $circuits = [];

    /** @var array<string, true> terminals of loads and switches */
    private array $ends = [];

    /** @var array<string, true> terminals with a wire on them */
    private array $wired = [];

    /** @var list<string> terminals of ground */
    private array $grounds = [];

    private function __construct(private readonly Model $model)
    {
        $this->nets = new Nets($model);
        $this->sites = Sites::of($model);
        $this->find();
        foreach ($this->nets->elements() as $e) { // across a load, across a switch, as far as their ends come out
            $this->ends[$e['a']] = $this->ends[$e['b']] = true;
            if ($model->isPlace($e['a'])) {
                $this->add($e['a'], $e['b']);
            }
        }
        foreach ($model->parts() as $part) {
            $this->ofPart($part);
        }
        foreach ($model->wires() as $wire) {
            $this->add("$wire->id.a", "$wire->id.b");
            $this->add($wire->from, $wire->to); // its joints too
        }
    }

    public static function of(Model $model): self
    {
        self::$known ??= new \WeakMap();

        return self::$known[$model] ??= new self($model);
    }

    /** @return list<array{string, string}> the first is asked, the second is what it is asked against */
    public function pairs(): array
    {
        return $this->pairs;
    }

    public function isUsual(string $red, string $black): bool
    {
        return isset($this->usual["$red $black"]) || isset($this->usual["$black $red"]);
    }

    /** Whether two places are the same conductor, by the drawing: what is read there is a drop, or a break. */
    public function isOneConductor(string $red, string $black): bool
    {
        return $this->net($red) === $this->net($black);
    }

    /** Which terminals lie on what, and which are ground. */
    private function find(): void
    {
        foreach ($this->nets->supplies() as $i => $supply) {
            [$hot, $return] = [$this->nets->root($supply['hot']), $this->nets->root($supply['return'])];
            $this->circuits[$hot][$i] = $this->circuits[$return][$i] = true;
            foreach (array_merge([], ...array_values($this->nets->paths($hot, $return))) as $way) {
                foreach ($way as $e) {
                    $this->circuits[$this->nets->root($e['a'])][$i] = true;
                    $this->circuits[$this->nets->root($e['b'])][$i] = true;
                }
            }
        }
        foreach ($this->model->wires() as $wire) {
            $this->wired[$wire->from] = $this->wired[$wire->to] = true;
        }
        foreach ($this->model->parts() as $part) {
            foreach ($part->inVan ? [] : $part->places() as $place) {
                $this->on[$this->nets->root($place)][] = $place;
                if ($part->kind->isGround()) {
                    $this->grounds[] = $place;
                }
            }
        }
        $this->grounds = [...$this->grounds, ...array_column($this->nets->grounds(), 'place')];
    }

    /** Each terminal of a part against the common of each circuit that it is on, and line voltage against ground. */
    private function ofPart(Part $part): void
    {
        $supplies = $this->nets->supplies();
        $places = $part->inVan ? [] : $part->places();
        foreach ($places as $i => $place) {
            $net = $this->nets->root($place);
            $circuits = array_keys($this->circuits[$net] ?? []);
            foreach ($circuits as $which) {
                $supply = $supplies[$which];
                $common = $this->nets->root($supply['return']);
                $against = $net === $common ? $this->nets->root($supply['hot']) : $common;
                if ($net !== $common || $this->isOn($part, $against)) {
                    $this->add($place, $this->nearest($part, $this->on[$against] ?? []));
                }
                $isHot = $net !== $common || $part->kind->isSupply();
                if ($isHot && in_array($supply['class'], ['line', 'sensing'], true)) {
                    $this->add($place, $this->nearest($part, $this->grounds));
                }
            }
            $next = $places[$i + 1] ?? null;
            if ($next !== null && count($places) <= self::FEW && $this->nets->root($next) === $net) {
                $this->add($place, $next); // across a splice
            }
            if ($circuits === []) { // a rod, a winding, what has no wire on it
                if (isset($this->wired[$place])) {
                    $this->add($place, $this->nearest($part, $this->grounds));
                }
                foreach (count($places) > self::FEW ? [] : array_slice($places, $i + 1) as $other) {
                    $isFree = ($this->circuits[$this->nets->root($other)] ?? []) === [];
                    if ($isFree && ! isset($this->ends[$place]) && ! isset($this->ends[$other])) {
                        $this->add($place, $other);
                    }
                }
            }
        }
    }

    private function isOn(Part $part, string $net): bool
    {
        return array_intersect($part->places(), $this->on[$net] ?? []) !== [];
    }

    /**
     * Of some terminals one on the part itself, else at a control, else any that stands with it; of several on one part
     * the one that the part is read against.
     *
     * @param list<string> $terminals
     */
    private function nearest(Part $part, array $terminals): ?string
    {
        $best = null;
        $near = 0;
        foreach ($terminals as $place) {
            [$owner, $terminal] = Model::split($place);
            $kind = $this->model->kindOf($owner);
            $how = match (true) {
                $owner === $part->id => 5,
                $this->sites->areApart($owner, $part->id) => 0,
                $kind?->isControl() === true => 3,
                default => 1,
            };
            $how += $how > 0 && in_array($terminal, $kind->references ?? [], true) ? 1 : 0;
            if ($how > $near) {
                [$best, $near] = [$place, $how];
            }
        }

        return $best;
    }

    private function add(string $red, ?string $black): void
    {
        if ($black === null || $red === $black || $this->isUsual($red, $black) || ! $this->model->isPlace($black)) {
            return;
        }
        if (! $this->sites->areApart($this->model->partAt($red), $this->model->partAt($black))) {
            $this->usual["$red $black"] = true;
            $this->pairs[] = [$red, $black];
        }
    }

    private function net(string $place): string
    {
        [$owner, $end] = Model::split($place);
        $wire = $this->model->wire($owner);

        return $this->nets->root($wire === null ? $place : $wire->at($end));
    }
}
