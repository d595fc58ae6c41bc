<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Words\Words;

/**
 * The circuits of an appliance one at a time: each from its supply through conductors and controls to its loads and
 * home again, and the loads that have no such way, with what is missing.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-import-type Supply from Nets
 * @phpstan-type Leg array{title: string, class: string, hot: string, return: string, loads: list<array{part: string, title: string, load: string, proves: string|null, ways: int, words: string, parts: list<string>, wires: list<string>}>}
 * @phpstan-type Gap array{part: string, title: string, input: bool, words: string}
 */
final readonly class Circuits
{
    private function __construct(private Nets $nets) {}

    /** @return array{circuits: list<Leg>, open: list<Gap>} */
    public static function of(Nets $nets): array
    {
        $circuits = new self($nets);
        $legs = array_map($circuits->leg(...), $nets->supplies());
        $complete = array_fill_keys(
            array_merge(...array_map(fn (array $leg) => array_column($leg['loads'], 'load'), $legs)),
            true,
        );

        // of a mesh that was not gone through to its end it is not known what has no way
        return ['circuits' => $legs, 'open' => $nets->isCutShort() ? [] : $circuits->gaps($complete)];
    }

    /**
     * @param Supply $supply
     * @return Leg
     */
    private function leg(array $supply): array
    {
        $loads = [];
        $paths = $this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']));
        foreach ($paths as $load => $ways) {
            $way = $ways[0];
            $at = $this->load($way);
            $before = array_map($this->nets->title(...), array_slice($way, 0, $at));
            $after = array_map($this->nets->title(...), array_slice($way, $at + 1));
            $ends = [
                $supply['hot'],
                ...array_merge(...array_map(fn (array $e) => [$e['a'], $e['b']], $way)),
                $supply['return'],
            ];
            $loads[] = [
                'part' => $way[$at]['part'],
                'title' => $this->nets->title($way[$at]),
                'load' => $load,
                'proves' => $this->proves($way[$at]),
                'ways' => count($ways),
                'words' => Words::say('wiring.circuits.from_to_home_at', [
                    'hot' => $this->nets->name($supply['hot']),
                    'what' => $before === [] ? '' : Words::say('wiring.circuits.through', [
                        'before' => implode(', ', $before),
                    ]),
                    'way' => $this->nets->title($way[$at]),
                    'what_2' => $after === [] ? '' : Words::say('wiring.circuits.through_2', [
                        'after' => implode(', ', $after),
                    ]),
                    'return' => $this->nets->name($supply['return']),
                ]),
                'parts' => array_values(array_unique(array_column($way, 'part'))),
                'wires' => array_merge(
                    ...array_map(fn (array $pair) => $this->nets->along($pair[0], $pair[1]), array_chunk($ends, 2)),
                ),
            ];
        }

        return [
            'title' => $supply['title'],
            'class' => $supply['class'],
            'hot' => $supply['hot'],
            'return' => $supply['return'],
            'loads' => $loads,
        ];
    }

    /** @param list<Element> $way */
    private function load(array $way): int
    {
        return (int) array_key_first(array_filter($way, fn (array $e) => $e['load']));
    }

    /**
     * The input of a control that a load is the feed of: such a way proves something rather than drives it.
     *
     * @param Element $load
     */
    private function proves(array $load): ?string
    {
        $terminals = array_map(fn (string $place) => substr($place, strlen($load['part']) + 1), [
            $load['a'],
            $load['b'],
        ]);
        foreach ($this->nets->model->kindOf($load['part'])?->those(Decides::class) ?? [] as $spec) {
            foreach ($spec->get('inputs') as $input => $p) {
                $between = $p['ac'] ?? ($p['dc'] ?? null);
                if (
                    $between !== null &&
                    array_diff($terminals, $between) === [] &&
                    $input !== ($spec->get('table')['supply'] ?? null)
                ) {
                    return (string) $input;
                }
            }
        }

        return null;
    }

    /**
     * @param array<string, true> $complete loads that have a way
     * @return list<Gap>
     */
    private function gaps(array $complete): array
    {
        $gaps = [];
        $told = [];
        foreach ($this->nets->elements() as $e) {
            $nets = "{$e['part']} {$this->nets->root($e['a'])} {$this->nets->root($e['b'])}";
            if ($e['load'] && isset($complete["{$e['part']}.{$e['name']}"])) {
                $told[$nets] = true;
            }
        }
        foreach ($this->nets->elements() as $e) {
            $nets = "{$e['part']} {$this->nets->root($e['a'])} {$this->nets->root($e['b'])}";
            if (! $e['load'] || isset($told[$nets])) {
                continue;
            }
            $told[$nets] = true;
            $gaps[] = [
                'part' => $e['part'],
                'title' => $this->nets->title($e),
                'input' => $this->proves($e) !== null ||
                    ($this->nets->model->kindOf($e['part'])?->isControl() === true &&
                        str_ends_with($e['name'], '_input')),
                'words' => Words::say('wiring.circuits.has_no_complete_path_from', [
                    'e' => $this->nets->title($e),
                    'side' => $this->side($e['a']),
                    'side_2' => $this->side($e['b']),
                ]),
            ];
        }

        return $gaps;
    }

    /** What one side of a load comes to. */
    private function side(string $place): string
    {
        $fed = $this->nets->fedBy($this->nets->root($place));
        $name = $this->nets->name($place);
        if ($fed !== []) {
            return Words::say('wiring.circuits.comes_to', [
                'name' => $name,
                'fed' => implode(
                    Words::say('wiring.circuits.and_to'),
                    array_values(
                        array_unique(
                            array_map(fn (array $f) => $this->nets->name($f[0][$f[1]]), array_slice($fed, 0, 3)),
                        ),
                    ),
                ),
            ]);
        }
        $others = array_filter($this->nets->places()[$this->nets->root($place)] ?? [], fn (string $p) => $p !== $place);

        return $others === []
            ? Words::say('wiring.circuits.nothing_is_wired_to', ['name' => $name])
            : Words::say('wiring.circuits.goes_no_further_than', [
                'name' => $name,
                'others' => $this->nets->name((string) end($others)),
            ]);
    }
}
