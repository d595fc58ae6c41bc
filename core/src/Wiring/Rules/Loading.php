<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Wire;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use OddSpark\Wiring\Rule;

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
                'transformer overloaded',
                Finding::ODD,
                [$supply['part']],
                [],
                sprintf(
                    'The loads on %s add up to %.0f VA at once; it is rated for %g.',
                    $supply['title'],
                    $va,
                    $rated,
                ),
                'Voltage sags, relays chatter, and the thermal cut-out of the transformer opens.',
                'Use a larger transformer (a class 2 one has 100 VA at most), or split the loads.',
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
                    'fuse too small for its load',
                    Finding::ODD,
                    [$part],
                    [],
                    sprintf(
                        'The loads behind %s add up to %.1f A at once; it is rated for %g A.',
                        $this->nets->label($part),
                        $amps,
                        $rated,
                    ),
                    'It blows in normal use.',
                    'Use the size that the maker gives, or split the loads.',
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
                            'gauge too thin for its fuse',
                            Finding::ODD,
                            [],
                            [$wire->id],
                            ucfirst($this->wireName($wire)).
                                sprintf(
                                    ' is of %s, behind %s of %g A.',
                                    $wire->gauge(),
                                    $this->nets->label($e['part']),
                                    $rated,
                                ),
                            'The wire overheats before the fuse opens. What is wired inside an appliance is for its maker to answer for; this is field wiring.',
                            $wire->mm2 !== null
                                ? 'Use a larger cross-section, or a smaller fuse.'
                                : 'Use 14 AWG behind 15 A, 12 behind 20, or a smaller fuse.',
                            $thicker === null ? [] : [['do' => 'rewire', 'wire' => $wire->id, 'awg' => $thicker]],
                            $thicker === null ? '' : "Makes {$this->wireName($wire)} $thicker AWG.",
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
