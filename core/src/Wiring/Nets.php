<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;

/**
 * The wiring as documented, as a graph: what is one conductor, what switches and loads lie between conductors, and
 * what feeds them.
 *
 * A place is a terminal; a net is all that is joined to it without a switch or a load, named by one of its places.
 * A transformer counts twice: its primary is a load, its secondary a supply. What carries no current for a load (feeds
 * of a flame rod, bonds, run capacitors) is neither.
 *
 * @phpstan-type Element array{part: string, name: string, a: string, b: string, load: bool}
 * @phpstan-type Supply array{title: string, class: string, volts: float, hot: string, return: string, part: string, name: string}
 */
final class Nets
{
    /** @var array<string, string> parent of each place in its net */
    private array $net = [];

    /** @var array<string, list<array{string, string|null}>> what each place is joined to, and by which wire */
    private array $next = [];

    /** @var list<Element> */
    private array $elements = [];

    /** @var list<Supply> */
    private array $supplies = [];

    /** @var list<array{part: string, place: string}> */
    private array $grounds = [];

    /** @var array<string, list<Element>> switches that begin at a net, turned so that they do */
    private array $from = [];

    /** @var array<string, int> elements by part */
    private array $several = [];

    /** @var array<string, string> by part */
    private readonly array $labels;

    private readonly Ways $ways;

    /**
     * @param list<array{string, string}> $jumpers places that somebody has joined beside what the drawing says
     * @param list<string> $off parts that were taken off
     */
    public function __construct(public readonly Model $model, array $jumpers = [], array $off = [])
    {
        $this->labels = array_map(fn (Part $p): string => $p->label, $model->parts());
        $fitted = array_map(fn (string $place): string => Model::split($place)[0], array_merge([], ...$jumpers));
        $documented = new Documented($model, $fitted, $off);
        foreach ($documented->joints as [$a, $b, $wire]) {
            $this->join($a, $b, $wire);
        }
        [$this->elements, $this->supplies] = [$documented->elements, $documented->supplies];
        $this->grounds = $documented->grounds;
        foreach ($jumpers as [$a, $b]) {
            $this->join($this->terminal($a), $this->terminal($b));
        }
        usort($this->supplies, fn (array $x, array $y) => $y['volts'] <=> $x['volts']);
        foreach ($this->elements as $e) {
            $this->several[$e['part']] = ($this->several[$e['part']] ?? 0) + 1;
            if (! $e['load']) {
                $this->from[$this->root($e['a'])][] = $e;
                $this->from[$this->root($e['b'])][] = ['a' => $e['b'], 'b' => $e['a']] + $e;
            }
        }
        $this->ways = new Ways($this, $this->from);
    }

    /** @return list<Element> switches and loads, each between two places */
    public function elements(): array
    {
        return $this->elements;
    }

    /**
     * @return list<Supply> the highest volts first; class line, control, millivolt, battery (within a part) or sensing
     *     (a control
     *     reads the ohms of what hangs there); volts effective
     */
    public function supplies(): array
    {
        return $this->supplies;
    }

    /** @return list<array{part: string, place: string}> where the supplies have their ground */
    public function grounds(): array
    {
        return $this->grounds;
    }

    /** The net of a place, by the name of one of its places. */
    public function root(string $place): string
    {
        $this->net[$place] ??= $place;
        while ($this->net[$place] !== $place) {
            $place = $this->net[$place];
        }

        return $place;
    }

    /**
     * @return array<string, list<string>> places by the net that they are on; only places that something is joined to
     */
    public function places(): array
    {
        $places = [];
        foreach (array_keys($this->net) as $place) {
            $places[$this->root((string) $place)][] = (string) $place;
        }

        return $places;
    }

    /**
     * The wires from one place to another of the same net, in order.
     *
     * @return list<string>
     */
    public function along(string $from, string $to): array
    {
        $queue = [[$from, []]];
        $been = [$from => true];
        while ($queue !== []) {
            [$at, $wires] = array_shift($queue);
            if ($at === $to) {
                return $wires;
            }
            foreach ($this->next[$at] ?? [] as [$place, $wire]) {
                if (! isset($been[$place])) {
                    $been[$place] = true;
                    $queue[] = [$place, $wire === null ? $wires : [...$wires, $wire]];
                }
            }
        }

        return [];
    }

    /**
     * Ways through switches from one net to another, not past some.
     *
     * @param list<string> $past nets
     * @return list<list<Element>>
     */
    public function switched(string $from, string $to, array $past): array
    {
        return $this->ways->switched($from, $to, $past);
    }

    /** Whether a mesh of switches had more ways than are looked for: then not all that is told of ways is known. */
    public function isCutShort(): bool
    {
        return $this->ways->isCutShort();
    }

    /**
     * Every path from one net through switches and one load to another, by load; of each the fewest switches first.
     *
     * @return array<string, list<list<Element>>> by "part.name" of the load; elements turned so that a lies toward the
     *     first net
     */
    public function paths(string $hot, string $return): array
    {
        return $this->ways->paths($hot, $return);
    }

    /** @return list<Element> the fewest switches between two places; none where there is no such way */
    public function switchesBetween(string $a, string $b): array
    {
        $ways = $this->ways->switched($this->root($a), $this->root($b), []);
        usort($ways, fn (array $x, array $y) => count($x) <=> count($y));

        return $ways[0] ?? [];
    }

    /**
     * What is open on the way to a load on which least is, and the supply that it comes from; null where none leads
     * there.
     *
     * @param string $load "part.name"
     * @param callable(Element): bool $isClosed
     * @return array{Supply, list<Element>}|null
     */
    public function leastOpen(string $load, callable $isClosed): ?array
    {
        $best = null;
        foreach ($this->supplies as $supply) {
            foreach ($this->paths($this->root($supply['hot']), $this->root($supply['return']))[$load] ?? [] as $way) {
                $open = array_values(array_filter($way, fn (array $e): bool => ! $e['load'] && ! $isClosed($e)));
                if ($best === null || count($open) < count($best[1])) {
                    $best = [$supply, $open];
                }
            }
        }

        return $best;
    }

    /**
     * What an element is called: its part, and which of its several.
     *
     * @param Element $e
     */
    public function title(array $e): string
    {
        $part = $this->labels[$e['part']];

        return $this->several[$e['part']] > 1 ? "$part: ".str_replace('_', ' ', $e['name']) : $part;
    }

    /** What a place is called, by its part's label. */
    public function name(string $place): string
    {
        [$part, $terminal] = Model::split($place);

        return ($this->labels[$part] ?? $part)." $terminal";
    }

    /** What a part is called. */
    public function label(string $part): string
    {
        return $this->labels[$part];
    }

    /**
     * Supplies whose one pole lies on a net, straight or through switches, and which of the two.
     *
     * @return list<array{Supply, 'hot'|'return'}>
     */
    public function fedBy(string $net): array
    {
        $reached = $this->reached($net);
        $found = [];
        foreach ($this->supplies as $supply) {
            foreach (['hot', 'return'] as $pole) {
                if (array_key_exists($this->root($supply[$pole]), $reached)) {
                    $found[] = [$supply, $pole];
                }
            }
        }

        return $found;
    }

    /**
     * All nets that are reached from one through switches, each with the switch by which it was reached first.
     *
     * @param list<string> $past nets that are not gone through
     * @return array<string, Element|array{}> the first by none
     */
    public function reached(string $net, array $past = []): array
    {
        $reached = [$net => []];
        $queue = [$net];
        $past = array_fill_keys($past, true);
        for ($i = 0; $i < count($queue); $i++) {
            foreach (isset($past[$queue[$i]]) ? [] : $this->from[$queue[$i]] ?? [] as $e) {
                $next = $this->root($e['b']);
                if (! array_key_exists($next, $reached)) {
                    $reached[$next] = $e;
                    $queue[] = $next;
                }
            }
        }

        return $reached;
    }

    private function join(string $a, string $b, ?string $wire = null): void
    {
        $this->net[$this->root($a)] = $this->root($b);
        $this->next[$a][] = [$b, $wire];
        $this->next[$b][] = [$a, $wire];
    }

    /** The place itself, or the terminal on which the end of a wire lies. */
    private function terminal(string $place): string
    {
        [$id, $end] = Model::split($place);
        $wire = $this->model->wire($id);

        return $wire === null ? $place : ($end === 'a' ? $wire->from : $wire->to);
    }
}
