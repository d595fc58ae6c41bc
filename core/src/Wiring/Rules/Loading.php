<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Wire;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/**
 * Transformers and fuses against all that can hang on them at once, and wires against the fuse before them.
 *
 * What all loads would draw together, each at its full voltage, is more than what ever runs: that it is within
 * what a transformer or a fuse can carry is sure, that it is above is worth a look.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-import-type Supply from Nets
 */
final class Loading extends Rule
{
    /** The largest fuse before a small conductor, A by AWG: NFPA 70, 240.4(D), from memory. */
    private const LARGEST_FUSE = [18 => 7.0, 16 => 10.0, 14 => 15.0, 12 => 20.0, 10 => 30.0];

    /** The same by cross-section, A by mm²: IEC 60364-5-52, copper, PVC, in a wall, from memory. */
    private const LARGEST_FUSE_MM2 = [
        '0.5' => 3.0,
        '0.75' => 6.0,
        '1' => 10.0,
        '1.5' => 16.0,
        '2.5' => 20.0,
        '4' => 25.0,
    ];

    public function find(): array
    {
        $found = [];
        foreach ($this->nets->supplies() as $supply) {
            $paths = $this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']));
            $found = [...$found, ...$this->transformer($supply, $paths), ...$this->fuses($supply, $paths)];
        }

        return [...$found, ...$this->gauges()];
    }

    /**
     * @param Supply $supply
     * @param array<string, list<list<Element>>> $paths
     * @return list<Finding>
     */
    private function transformer(array $supply, array $paths): array
    {
        $rated = $this->model()->part($supply['part'])?->spec($supply['name'])?->get('rated_va');
        if ($rated === null) {
            return [];
        }
        $va =
            $supply['volts'] *
            array_sum(array_map(fn (string $load) => $this->amps($load, $supply['volts']), array_keys($paths)));
        if ($va <= $rated) {
            return [];
        }

        return [
            new Finding(
                Words::plain('wiring.loading.transformer_overloaded'),
                Finding::ODD,
                [$supply['part']],
                [],
                Words::say('wiring.loading.the_loads_on_add_up', [
                    'title' => $supply['title'],
                    'va' => sprintf('%.0f', $va),
                    'rated' => sprintf('%g', $rated),
                ]),
                Words::say('wiring.loading.voltage_sags_relays_chatter_and'),
                Words::say('wiring.loading.use_a_larger_transformer_a'),
            ),
        ];
    }

    /**
     * @param Supply $supply
     * @param array<string, list<list<Element>>> $paths
     * @return list<Finding>
     */
    private function fuses(array $supply, array $paths): array
    {
        $carried = [];
        foreach ($paths as $load => $ways) {
            foreach (
                array_unique(
                    array_merge(
                        ...array_map(
                            fn (array $way) => array_map(fn (array $e) => "{$e['part']}.{$e['name']}", $way),
                            $ways,
                        ),
                    ),
                ) as $id
            ) {
                $carried[$id] = ($carried[$id] ?? 0.0) + $this->amps($load, $supply['volts']);
            }
        }
        $found = [];
        foreach ($carried as $id => $amps) {
            [$part, $name] = [substr($id, 0, (int) strrpos($id, '.')), substr($id, (int) strrpos($id, '.') + 1)];
            $rated = $this->rated($part, $name);
            if ($rated !== null && $amps > $rated) {
                $found[] = new Finding(
                    Words::plain('wiring.loading.fuse_too_small_for_its'),
                    Finding::ODD,
                    [$part],
                    [],
                    Words::say('wiring.loading.the_loads_behind_add_up', [
                        'part' => $this->nets->label($part),
                        'amps' => sprintf('%.1f', $amps),
                        'rated' => sprintf('%g', $rated),
                    ]),
                    Words::say('wiring.loading.it_blows_in_normal_use'),
                    Words::say('wiring.loading.use_the_size_that_the'),
                );
            }
        }

        return $found;
    }

    /** @return list<Finding> field wires that are too thin for the fuse before them */
    private function gauges(): array
    {
        $inside = array_fill_keys($this->model()->doors()->covered(), true);
        $found = [];
        $told = [];
        foreach ($this->nets->elements() as $e) {
            $rated = $e['load'] ? null : $this->rated($e['part'], $e['name']);
            if ($rated === null) {
                continue;
            }
            foreach ($this->lines() as $line) {
                $reached = $this->nets->reached($this->nets->root($line['hot']));
                if (! isset($reached[$this->nets->root($e['a'])]) && ! isset($reached[$this->nets->root($e['b'])])) {
                    continue;
                }
                foreach ($this->behindFuse($e, $line) as $wire) {
                    $largest =
                        $wire->mm2 !== null
                            ? self::LARGEST_FUSE_MM2[(string) $wire->mm2] ?? INF
                            : self::LARGEST_FUSE[$wire->awg ?? 10] ?? INF;
                    $isInside =
                        count(array_intersect_key(array_flip($wire->parts()), $inside)) ===
                        count(array_unique($wire->parts()));
                    if ($rated > $largest && ! isset($told[$wire->id]) && ! $isInside) {
                        $told[$wire->id] = true;
                        $thicker = $wire->mm2 !== null || $rated > 20 ? null : ($rated > 15 ? 12 : 14);
                        $found[] = new Finding(
                            Words::plain('wiring.loading.gauge_too_thin_for_its'),
                            Finding::ODD,
                            [],
                            [$wire->id],
                            ucfirst($this->wireName($wire)).
                                Words::say('wiring.loading.is_of_behind_of_a', [
                                    'gauge' => $wire->gauge(),
                                    'part' => $this->nets->label($e['part']),
                                    'rated' => sprintf('%g', $rated),
                                ]),
                            Words::say('wiring.loading.the_wire_overheats_before_the'),
                            $wire->mm2 !== null
                                ? Words::say('wiring.loading.use_a_larger_cross_section')
                                : Words::say('wiring.loading.use_14_awg_behind_15'),
                            $thicker === null ? [] : [['do' => 'rewire', 'wire' => $wire->id, 'awg' => $thicker]],
                            $thicker === null ? '' : Words::say('wiring.loading.makes_awg', [
                                'wire_name' => $this->wireName($wire),
                                'thicker' => $thicker,
                            ]),
                        );
                    }
                }
            }
        }

        return $found;
    }

    /**
     * Wires that are fed through a fuse and not through another one further on.
     *
     * @param Element $fuse
     * @param Supply $line
     * @return list<Wire>
     */
    private function behindFuse(array $fuse, array $line): array
    {
        $hot = $this->nets->root($line['hot']);
        $before = $this->nets->reached($hot, [$this->nets->root($fuse['a']), $this->nets->root($fuse['b'])]);
        if (! isset($before[$this->nets->root($fuse['a'])]) && ! isset($before[$this->nets->root($fuse['b'])])) {
            return []; // it is fed from another line
        }
        $side = isset($before[$this->nets->root($fuse['a'])]) ? 'b' : 'a';
        $stops = [$this->nets->root($fuse[$side === 'b' ? 'a' : 'b']), $this->nets->root($line['return'])];
        foreach ($this->nets->elements() as $e) {
            if (! $e['load'] && $e !== $fuse && $this->rated($e['part'], $e['name']) !== null) {
                $stops[] = $this->nets->root($e['a']);
                $stops[] = $this->nets->root($e['b']);
            }
        }
        $nets = $this->nets->reached(
            $this->nets->root($fuse[$side]),
            array_values(array_diff($stops, [$this->nets->root($fuse[$side])])),
        );
        $wires = [];
        foreach (array_keys($nets) as $net) {
            if (! in_array($net, $stops, true) || $net === $this->nets->root($fuse[$side])) {
                $wires = [...$wires, ...$this->wiresOf((string) $net)];
            }
        }

        return $wires;
    }

    /** Amps at which a fuse or breaker opens; null of what is neither. */
    private function rated(string $part, string $name): ?float
    {
        $spec = $this->model()->part($part)?->spec($name);

        return $spec?->can(Blows::class) === true ? (float) $spec->get('amps') : null;
    }

    /** What a load draws at a voltage, A. */
    private function amps(string $load, float $volts): float
    {
        [$part, $name] = Model::split($load);

        return $this->model()->part($part)?->spec($name)?->draws($volts) ?? 0.0;
    }
}
