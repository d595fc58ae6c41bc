<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Instruments\Measured;
use OddSpark\Run\Memory;
use OddSpark\Run\RunError;

/**
 * A model fitted to readings that were taken on a real unit: of the figures in which real units differ, those few are
 * changed that bring what the model gives nearest to what was read.
 *
 * Forward selection by least squares on the logarithm of each figure, by Gauss's method (textbook): the figure that
 * takes most off the sum of squares is changed first, and another only while it takes off a good part of the rest. A
 * miss counts in tolerances of the instrument.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 * @phpstan-import-type Moment from LiveReadings
 * @phpstan-type Tuned array{part: string, label: string, figure: string, unit: string, primitive: string, key: string,
 *     value: float}
 * @phpstan-type Change array{part: string, label: string, figure: string, unit: string, was: float, becomes: float,
 *     edit: Edit}
 * @phpstan-type Row array{shows: string|null, model: float|null, agrees: bool, says: string|null}
 */
final readonly class Fit
{
    /** Figures that are changed at most: of more nobody could say why. */
    private const MOST = 4;

    /** Part of the sum of squares that a change has to take off. */
    private const WORTH = 0.2;

    /** By which the logarithm of a figure is moved to see what that does. */
    private const NUDGE = 0.05;

    /** Of the logarithm of a figure, at most. */
    private const FARTHEST = 1.5;

    private const STEPS = 3;

    /** Of a reading, by which it may differ beside what the instrument may be off. */
    private const SHARE = 0.02;

    private Edits $edits;

    /** @param \Closure(): Memory|null $memory one for each way that the model is tried in: solved states are its own */
    public function __construct(private Library $library, private ?\Closure $memory = null)
    {
        $this->edits = new Edits($library);
    }

    /**
     * What the model gives where and when the readings were taken.
     *
     * @param ModelDocument $document
     * @param list<Moment> $rows
     * @param list<float> $read in the unit of the mode
     * @return list<Row>
     *
     * @throws DocumentError|RunError
     */
    public function compared(array $document, array $rows, array $read): array
    {
        return array_map(
            fn (Measured|string $given, float $value) => is_string($given)
                ? ['shows' => null, 'model' => null, 'agrees' => false, 'says' => $given]
                : [
                    'shows' => $given->reading->text(),
                    'model' => is_finite($given->exact) ? $given->exact : null,
                    'agrees' => abs(self::miss($given, $value) ?? INF) <= 1.0,
                    'says' => null,
                ],
            $this->given($document, $rows),
            $read,
        );
    }

    /**
     * @param ModelDocument $document
     * @param list<Moment> $rows
     * @param list<float> $read in the unit of the mode
     * @return array{changes: list<Change>, before: list<Row>, after: list<Row>}
     *
     * @throws DocumentError|RunError
     */
    public function of(array $document, array $rows, array $read): array
    {
        $before = $this->compared($document, $rows, $read);
        [$now, $changes] = [$document, []];
        $misses = $this->misses($document, $rows, $read);
        $effects = [];
        foreach (in_array(false, array_column($before, 'agrees'), true) ? $this->figures($document) : [] as $figure) {
            $moved = $this->tried($document, $figure, $figure['value'] * exp(self::NUDGE), $rows, $read);
            if ($moved !== null) {
                $effects[] = [$figure, array_map(
                    fn (?float $then, ?float $first) => $then === null || $first === null
                        ? 0.0
                        : ($then - $first) / self::NUDGE,
                    $moved[1],
                    $misses,
                )];
            }
        }
        while ($effects !== [] && count($changes) < self::MOST && ! self::agree($misses)) {
            $worth = array_map(
                fn (array $e) => self::dot($e[1], $misses) ** 2 / max(self::dot($e[1], $e[1]), 1e-9),
                $effects,
            );
            $best = (int) array_search(max($worth), $worth, true);
            if ($worth[$best] < self::WORTH * self::dot($misses, $misses)) {
                break;
            }
            [$figure, $effect] = $effects[$best];
            array_splice($effects, $best, 1);
            [$changed, $value, $left] = $this->settled($now, $figure, $effect, $rows, $read, $misses);
            if (self::dot($left, $left) > (1 - self::WORTH) * self::dot($misses, $misses)) {
                continue; // it goes no straight way
            }
            $changes[] = [
                'part' => $figure['part'], 'label' => $figure['label'], 'figure' => $figure['figure'],
                'unit' => $figure['unit'], 'was' => $figure['value'], 'becomes' => $value, 'edit' => self::edit(
                    $figure,
                    $value,
                ),
            ];
            [$now, $misses] = [$changed, $left];
        }

        return ['changes' => $changes, 'before' => $before, 'after' => $this->compared($now, $rows, $read)];
    }

    /**
     * A figure moved until the readings are met as well as it can make them.
     *
     * @param ModelDocument $document
     * @param Tuned $figure
     * @param list<float> $effect on each miss of a change by e
     * @param list<Moment> $rows
     * @param list<float> $read
     * @param list<float|null> $misses
     * @return array{ModelDocument, float, list<float|null>} the document, the figure, what is missed then
     */
    private function settled(
        array $document,
        array $figure,
        array $effect,
        array $rows,
        array $read,
        array $misses,
    ): array {
        $settled = [$document, $figure['value'], $misses];
        $at = 0.0;
        for ($step = 0; $step < self::STEPS; $step++) {
            $at -= self::dot($effect, $settled[2]) / max(self::dot($effect, $effect), 1e-9);
            $value = self::rounded($figure['value'] * exp(max(-self::FARTHEST, min(self::FARTHEST, $at))));
            $tried = $this->tried($document, $figure, $value, $rows, $read);
            if ($tried === null || self::dot($tried[1], $tried[1]) >= self::dot($settled[2], $settled[2])) {
                break;
            }
            $settled = [$tried[0], $value, $tried[1]];
        }

        return $settled;
    }

    /**
     * @param ModelDocument $document
     * @param Tuned $figure
     * @param list<Moment> $rows
     * @param list<float> $read
     * @return array{ModelDocument, list<float|null>}|null the document with the figure changed, and what is missed with
     *     it; null where it cannot be set so, or does not run
     */
    private function tried(array $document, array $figure, float $value, array $rows, array $read): ?array
    {
        try {
            $changed = $this->edits->apply($document, self::edit($figure, $value));

            return [$changed, $this->misses($changed, $rows, $read)];
        } catch (DocumentError|EditError|RunError) {
            return null;
        }
    }

    /**
     * @param ModelDocument $document
     * @return list<Tuned> figures in which real units differ, and that the model has
     */
    private function figures(array $document): array
    {
        $model = $this->library->resolve($document);
        $figures = [];
        foreach ($model->parts() as $part) {
            foreach (Parameters::of($part->kind, $part->params, $document['supply']['region']) as $p) {
                if ($p['varies'] && is_numeric($p['value']) && $p['value'] > 0) {
                    $figures[] = [
                        'part' => $part->id, 'label' => $part->label, 'figure' => $p['label'], 'unit' => $p['unit'],
                        'primitive' => $p['primitive'], 'key' => $p['key'], 'value' => (float) $p['value'],
                    ];
                }
            }
        }

        return $figures;
    }

    /**
     * @param ModelDocument $document
     * @param list<Moment> $rows
     * @return list<Measured|string>
     */
    private function given(array $document, array $rows): array
    {
        $plan = Compiler::compile($this->library->resolve($document));

        $memory = $this->memory === null ? new Memory() : ($this->memory)();

        return array_values((new LiveReadings($plan, $memory))->of($rows));
    }

    /**
     * @param ModelDocument $document
     * @param list<Moment> $rows
     * @param list<float> $read
     * @return list<float|null> by how many tolerances the model misses each; null where it shows no figure
     */
    private function misses(array $document, array $rows, array $read): array
    {
        return array_map(
            fn (Measured|string $given, float $value) => is_string($given) ? null : self::miss($given, $value),
            $this->given($document, $rows),
            $read,
        );
    }

    private static function miss(Measured $given, float $read): ?float
    {
        if (! is_finite($given->exact)) {
            return null;
        }
        // without the scatter of parts of one label, which is what is asked for
        $is = $given->reading->mode->specification();
        $tolerance = ($is->share + self::SHARE) * abs($read) + ($is->counts + 1) * $is->step($read) + $is->hum;

        return ($given->exact - $read) / $tolerance;
    }

    /** @param list<float|null> $misses */
    private static function agree(array $misses): bool
    {
        return array_filter($misses, fn (?float $miss) => $miss !== null && abs($miss) > 1.0) === [];
    }

    /**
     * @param list<float|null> $a
     * @param list<float|null> $b
     */
    private static function dot(array $a, array $b): float
    {
        return array_sum(array_map(fn (?float $x, ?float $y): float => ($x ?? 0.0) * ($y ?? 0.0), $a, $b));
    }

    /** Three figures: more no reading knows. */
    private static function rounded(float $value): float
    {
        return round($value, 2 - (int) floor(log10($value)));
    }

    /**
     * @param Tuned $figure
     * @return Edit
     */
    private static function edit(array $figure, float $value): array
    {
        return [
            'do' => 'param', 'part' => $figure['part'], 'primitive' => $figure['primitive'], 'key' => $figure['key'],
            'value' => $value,
        ];
    }
}
