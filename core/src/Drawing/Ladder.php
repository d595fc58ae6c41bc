<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Model;

/**
 * The wiring read as a ladder: for each supply its hot side at the left and its return at the right, and between
 * them one rung for each path from the one through switches and a load to the other.
 *
 * Derived by rule from the document alone, never drawn by hand; it shows the appliance as documented. A
 * transformer counts twice: its primary is a load of one circuit, its secondary the supply of the next. What carries
 * no current for a load (feeds of a flame rod, bonds, run capacitors) is on the board and not here.
 */
final class Ladder
{
    /** Types that open and close a path. */
    private const SWITCHES = ['contact', 'fuse', 'protector'];

    /** Types that a path is for. */
    private const LOADS = ['coil', 'heater', 'actuator', 'room-thermostat', 'light-resistor', 'resistor'];

    /** Ohms under which a resistor is a joint, and over which it carries nothing worth a rung. */
    private const JOINT_OHM = 1.0;

    private const SENSING_OHM = 1.0e6;

    /** Paths to one load that are drawn; switches on one path. */
    private const PATHS = 6;

    private const LONGEST = 14;

    private const LEFT = 24;

    private const WIDTH = 1180;

    private const RUNG = 74;

    private const HEAD = 46;

    private const LOAD_WIDTH = 170;

    /** @var array<string, string> parent of each place in its net */
    private array $net = [];

    /** @var array<string, list<array{string, string|null}>> what each place is joined to, and by which wire */
    private array $next = [];

    /** @var list<array{part: string, name: string, a: string, b: string, load: bool}> */
    private array $elements = [];

    /** @var list<array{title: string, volts: float, hot: string, return: string}> */
    private array $supplies = [];

    private function __construct(private readonly Model $model)
    {
        $this->read();
    }

    /**
     * @return array{width: int, height: int, circuits: list<array{title: string, hot: string, return: string, y: int, height: int, rungs: list<array<string, mixed>>}>}
     *     a rung has its y, its load's part, whether the load stands on a rung above already, and its elements in order:
     *     part, title, load, a and b (places), x and w; its links are the wires before, between and after them
     */
    public static function of(Model $model): array
    {
        return (new self($model))->drawn();
    }

    /** @return array<string, mixed> */
    private function drawn(): array
    {
        $circuits = [];
        $y = 0;
        foreach ($this->supplies as $supply) {
            $paths = $this->paths($this->root($supply['hot']), $this->root($supply['return']));
            if ($paths === []) {
                continue;
            }
            $rungs = [];
            $seen = [];
            foreach ($paths as $path) {
                $load = $path[(int) array_key_first(array_filter($path, fn (array $e) => $e['load']))];
                $key = "{$load['part']}.{$load['name']}";
                $ends = [$supply['hot'], ...array_merge(...array_map(fn (array $e) => [$e['a'], $e['b']], $path)), $supply['return']];
                $rungs[] = ['y' => $y + self::HEAD + self::RUNG * count($rungs) + intdiv(self::RUNG, 2), 'load' => $load['part'], 'again' => isset($seen[$key]), 'elements' => $this->placed($path), 'links' => array_map(fn (array $pair) => $this->along($pair[0], $pair[1]), array_chunk($ends, 2))];
                $seen[$key] = true;
            }
            $height = self::HEAD + self::RUNG * count($rungs) + 10;
            $circuits[] = ['title' => $supply['title'], 'hot' => $supply['hot'], 'return' => $supply['return'], 'y' => $y, 'height' => $height, 'rungs' => $rungs];
            $y += $height;
        }

        return ['width' => self::WIDTH, 'height' => max(1, $y), 'circuits' => $circuits];
    }

    private function read(): void
    {
        $join = function (string $a, string $b, ?string $wire = null): void {
            $this->net[$this->root($a)] = $this->root($b);
            $this->next[$a][] = [$b, $wire];
            $this->next[$b][] = [$a, $wire];
        };
        foreach ($this->model->document['wires'] as $wire) {
            $join($wire['from'], $wire['to'], $wire['id']);
        }
        foreach ($this->model->document['joined'] ?? [] as $group) {
            foreach (array_slice($group, 1) as $place) {
                $join($group[0], $place);
            }
        }
        foreach ($this->model->document['parts'] as $part) {
            $kind = $this->model->document['kinds'][$part['kind']];
            $at = fn (string $terminal): string => "{$part['id']}.$terminal";
            foreach ($kind['joined'] ?? [] as $group) {
                foreach (array_slice($group, 1) as $terminal) {
                    $join($at($group[0]), $at($terminal));
                }
            }
            foreach ($kind['primitives'] as $name => $spec) {
                $hidden = $kind['primitives'][$spec['follows'] ?? ''] ?? null;
                if ($spec['type'] === 'contact' && ($hidden['type'] ?? '') === 'lever' && ! isset($kind['controls'][$spec['follows']])) {
                    // nobody's switch, but how it was made up: as documented it is joined or it is not there
                    if (($spec['when'] ?? null) === $hidden['at']) {
                        $join($at($spec['between'][0]), $at($spec['between'][1]));
                    }

                    continue;
                }
                $this->primitive($part, (string) $name, $spec, $at, $join);
            }
        }
        usort($this->supplies, fn (array $x, array $y) => $y['volts'] <=> $x['volts']);
    }

    /**
     * @param array<string, mixed> $part
     * @param array<string, mixed> $spec
     * @param callable(string): string $at
     * @param callable(string, string): void $join
     */
    private function primitive(array $part, string $name, array $spec, callable $at, callable $join): void
    {
        $add = function (string $a, string $b, bool $load) use ($part, $name, $at): void {
            $this->elements[] = ['part' => $part['id'], 'name' => $name, 'a' => $at($a), 'b' => $at($b), 'load' => $load];
        };
        $supply = function (string $hot, string $return, float $volts, string $what) use ($at): void {
            $this->supplies[] = ['title' => $what, 'volts' => $volts, 'hot' => $at($hot), 'return' => $at($return)];
        };
        $label = $part['label'];
        $type = $spec['type'];
        [$a, $b] = ($spec['between'] ?? []) + [null, null];
        if ($type === 'source') {
            isset($spec['legs']) ? $this->legs($spec, $label, $supply) : $supply($spec['hot'], $spec['neutral'], (float) $spec['volts'], "$label: ".self::volts((float) $spec['volts']));
        } elseif ($type === 'thermo-source') {
            $supply($a, $b, 0.03, "$label: millivolts");
        } elseif ($type === 'windings') {
            $add($spec['primary'][0], $spec['primary'][1], true);
            $supply($spec['secondary'][0], $spec['secondary'][1], 24.0, "$label: its secondary, 24 V");
        } elseif ($type === 'motor') {
            foreach (array_intersect_key($spec, ['line' => 1, 'low_tap' => 1]) as $tap) {
                $add($tap, $spec['common'], true);
            }
        } elseif ($type === 'mid-position') {
            $add($spec['white'], $spec['neutral'], true);
            $add($spec['grey'], $spec['neutral'], true);
        } elseif ($type === 'resistor' && $spec['ohm'] < self::JOINT_OHM) {
            $join($at($a), $at($b));
        } elseif ($a !== null && ($type !== 'resistor' || $spec['ohm'] <= self::SENSING_OHM) && in_array($type, [...self::SWITCHES, ...self::LOADS], true)) {
            $add($a, $b, in_array($type, self::LOADS, true));
        }
    }

    /**
     * Two legs: what lies between them, and what lies between each and the neutral.
     *
     * @param array<string, mixed> $spec
     * @param callable(string, string, float, string): void $supply
     */
    private function legs(array $spec, string $label, callable $supply): void
    {
        [$one, $two] = array_keys($spec['legs']);
        $supply($one, $two, 240.0, "$label: 240 V");
        foreach ([$one, $two] as $leg) {
            $supply($leg, $spec['neutral'], 120.0, "$label: 120 V, $leg to neutral");
        }
    }

    /**
     * Every path from the one side through switches and one load to the other, the fewest switches first.
     *
     * @return list<list<array{part: string, name: string, a: string, b: string, load: bool}>> elements turned so that a lies to the left
     */
    private function paths(string $hot, string $return): array
    {
        $found = [];
        $between = [];
        foreach ($this->elements as $load) {
            $nets = [$load['part'], $this->root($load['a']), $this->root($load['b'])];
            if (! $load['load'] || in_array($nets, $between, true)) {
                continue; // what lies beside another load of the same part is the same rung
            }
            $between[] = $nets;
            $ways = [];
            foreach ([$load, ['a' => $load['b'], 'b' => $load['a']] + $load] as $turned) {
                foreach ($this->switched($hot, $this->root($turned['a']), [$return]) as $before) {
                    foreach ($this->switched($this->root($turned['b']), $return, [$hot, $this->root($turned['a'])]) as $after) {
                        $ways[] = [...$before, $turned, ...$after];
                    }
                }
            }
            usort($ways, fn (array $x, array $y) => count($x) <=> count($y));
            foreach (array_slice($ways, 0, self::PATHS) as $way) {
                $found[] = $this->outside($way);
            }
        }

        return $found;
    }

    /**
     * A path without what lies inside the load's own part, such as the thermal link of a transformer.
     *
     * @param list<array{part: string, name: string, a: string, b: string, load: bool}> $path
     * @return list<array{part: string, name: string, a: string, b: string, load: bool}>
     */
    private function outside(array $path): array
    {
        $at = (int) array_key_first(array_filter($path, fn (array $e) => $e['load']));
        while ($at > 0 && $path[$at - 1]['part'] === $path[$at]['part'] && ! $this->isTerminal($path[$at]['a'])) {
            $path[$at]['a'] = $path[$at - 1]['a'];
            array_splice($path, $at - 1, 1);
            $at--;
        }

        return $path;
    }

    private function isTerminal(string $place): bool
    {
        [$part, $terminal] = Model::split($place);

        return isset($this->model->kindOf($part)['terminals'][$terminal]);
    }

    /**
     * The wires from one place to another of the same net, in order.
     *
     * @return list<string>
     */
    private function along(string $from, string $to): array
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
     * @param list<string> $been
     * @return list<list<array{part: string, name: string, a: string, b: string, load: bool}>>
     */
    private function switched(string $from, string $to, array $past, array $been = []): array
    {
        if ($from === $to) {
            return [[]];
        }
        if (in_array($from, $past, true) || count($been) >= self::LONGEST) {
            return [];
        }
        $ways = [];
        foreach ($this->elements as $e) {
            if ($e['load']) {
                continue;
            }
            foreach ([$e, ['a' => $e['b'], 'b' => $e['a']] + $e] as $turned) {
                $next = $this->root($turned['b']);
                if ($this->root($turned['a']) === $from && $next !== $from && ! in_array($next, $been, true)) {
                    foreach ($this->switched($next, $to, $past, [...$been, $from]) as $rest) {
                        $ways[] = [$turned, ...$rest];
                        if (count($ways) > 4 * self::PATHS) {
                            return $ways;
                        }
                    }
                }
            }
        }

        return $ways;
    }

    /**
     * Elements with their places along the rung: switches from the left, the load and what follows it at the right.
     *
     * @param list<array{part: string, name: string, a: string, b: string, load: bool}> $path
     * @return list<array<string, mixed>>
     */
    private function placed(array $path): array
    {
        $load = (int) array_key_first(array_filter($path, fn (array $e) => $e['load']));
        $after = count($path) - 1 - $load;
        $right = self::WIDTH - self::LEFT - 30;
        $room = $right - self::LEFT - 30 - self::LOAD_WIDTH;
        $step = (int) floor($room / max(1, $load + $after));
        $w = min(150, $step - 16);
        $placed = [];
        foreach ($path as $i => $e) {
            $placed[] = [
                'part' => $e['part'], 'title' => $this->title($e), 'load' => $e['load'], 'a' => $e['a'], 'b' => $e['b'],
                'x' => match (true) {
                    $i < $load => self::LEFT + 30 + $i * $step,
                    $i === $load => $right - self::LOAD_WIDTH - $after * $step,
                    default => $right - ($after - ($i - $load - 1)) * $step + 16,
                },
                'w' => $e['load'] ? self::LOAD_WIDTH : $w,
            ];
        }

        return $placed;
    }

    /** @param array{part: string, name: string, a: string, b: string, load: bool} $e */
    private function title(array $e): string
    {
        $part = $this->model->parts()[$e['part']]['label'];
        $several = count(array_filter($this->elements, fn (array $x) => $x['part'] === $e['part'])) > 1;

        return $several ? "$part: ".str_replace('_', ' ', $e['name']) : $part;
    }

    private function root(string $place): string
    {
        $this->net[$place] ??= $place;
        while ($this->net[$place] !== $place) {
            $place = $this->net[$place];
        }

        return $place;
    }

    private static function volts(float $volts): string
    {
        return match (true) {
            $volts > 200 => '230 V', $volts > 60 => '120 V', default => round($volts).' V',
        };
    }
}
