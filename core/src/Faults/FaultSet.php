<?php

declare(strict_types=1);

namespace OddSpark\Faults;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\FaultMode;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * All the single faults that a model can have, the healthy appliance first.
 *
 * @phpstan-import-type FoundDocument from Shapes
 */
final class FaultSet
{
    /** @param array<string, Fault> $faults by id */
    private function __construct(public readonly array $faults) {}

    public static function of(Model $model): self
    {
        $faults = [Fault::HEALTHY => Fault::none()];
        $overrides = $model->document['weights'] ?? [];
        $add = function (
            string $part,
            string $label,
            string $mode,
            FaultMode $m,
            string $family,
            string $prefix,
            array $links = [],
        ) use (&$faults, $overrides): void {
            foreach ($m->degrees as $degree => $set) {
                $degree = (string) $degree;
                $id = "$part:$mode".($degree === '' ? '' : "@$degree");
                $paths = [];
                array_walk_recursive($set, function (mixed &$value) use ($links, $prefix): void {
                    // of a link of the part, or ("@.") of a primitive of its own
                    $value =
                        is_string($value) && str_starts_with($value, '@.') ? "$prefix.".substr($value, 2) : $value;
                    $value =
                        is_string($value) && str_starts_with($value, '@')
                            ? $links[substr($value, 1)] ?? $value
                            : $value;
                });
                foreach ($set as $path => $value) {
                    $paths["$prefix.$path"] = $value;
                }
                $title =
                    "$label: $m->title".
                    ($degree === '' ? '' : " ($degree".($m->unit === null ? '' : " $m->unit").')');
                $weight = ($overrides[$id] ?? ($overrides["$part:$mode"] ?? $m->weight)) / count($m->degrees);
                $faults[$id] = new Fault(
                    $id,
                    $part,
                    $mode,
                    $degree === '' ? null : $degree,
                    $title,
                    $family,
                    $paths,
                    $weight,
                    $m->repair,
                    $m->signs,
                    $m->isGradual,
                    mustNotRun: $m->mustNotRun,
                );
            }
        };
        foreach ($model->parts() as $part) {
            $kind = $part->kind;
            foreach ($part->inVan ? [] : $kind->modes as $mode => $m) {
                if (array_diff($m->asks(), array_keys($part->links)) !== []) {
                    continue;
                }
                $add($part->id, $part->label, (string) $mode, $m, $kind->family->value, $part->id, $part->links);
            }
        }
        $wireModes = $model->wireModes();
        foreach ($model->wires() as $wire) {
            foreach ($wire->modes as $mode) {
                $label = Words::say('faults.fault_set.wire_to', [
                    'colour' => ucfirst($wire->colour),
                    'place_name' => $model->placeName($wire->from),
                    'place_name_2' => $model->placeName($wire->to),
                ]);
                $add($wire->id, $label, $mode, $wireModes[$mode], 'wires', $wire->id);
            }
        }

        foreach ($model->document['found'] ?? [] as $found) {
            $faults["{$found['part']}:{$found['mode']}"] = LeftBehind::asFault($model, $found, $overrides);
        }

        $all = new self(self::bounded($faults, $overrides));
        $compounds = [];
        foreach ($model->document['compounds'] ?? [] as $i => $c) {
            $compound = $all->authored($c, "/compounds/$i");
            $compounds[$compound->id] = $compound;
        }

        return new self($all->faults + $compounds);
    }

    /**
     * Families weighed as the document says; wires together no likelier than the parts, unless it says so.
     *
     * @param array<string, Fault> $faults
     * @param array<string, float> $overrides by fault, part and mode, or "family NAME"
     * @return array<string, Fault>
     */
    private static function bounded(array $faults, array $overrides): array
    {
        $sums = ['wires' => 0.0, 'parts' => 0.0];
        foreach ($faults as $id => $fault) {
            $sums[$fault->family === 'wires' ? 'wires' : 'parts'] += $id === Fault::HEALTHY ? 0.0 : $fault->weight;
        }
        $times = ['wires' => $sums['wires'] > 0 ? min(1.0, $sums['parts'] / $sums['wires']) : 1.0];
        foreach ($overrides as $what => $weight) {
            if (str_starts_with((string) $what, 'family ')) {
                $times[substr((string) $what, 7)] = $weight;
            }
        }

        return array_map(
            fn (Fault $f) => ($times[$f->family] ?? 1.0) === 1.0 ? $f : $f->weighing($f->weight * $times[$f->family]),
            $faults,
        );
    }

    /**
     * Only some of them.
     *
     * @param list<string> $ids
     */
    public function only(array $ids): self
    {
        return new self(array_intersect_key($this->faults, array_flip($ids)));
    }

    /** @throws DocumentError when there is no such fault */
    public function get(string $id): Fault
    {
        return $this->faults[$id] ?? throw new DocumentError('', $this->unknown($id));
    }

    /**
     * Several faults at once: what they change, together.
     *
     * @param list<string> $ids
     *
     * @throws DocumentError
     */
    public function compound(array $ids): Fault
    {
        $ids = array_values(array_diff($ids, [Fault::HEALTHY]));
        if ($ids === []) {
            return $this->faults[Fault::HEALTHY];
        }
        $all = array_map($this->get(...), $ids);
        if (count($all) === 1) {
            return $all[0];
        }

        return new Fault(
            implode('+', $ids), $all[0]->part, $all[0]->mode, null,
            implode(' and ', array_map(fn (Fault $f) => $f->title, $all)), 'compound',
            array_merge(...array_map(fn (Fault $f) => $f->set, $all)),
            array_product(array_map(fn (Fault $f) => $f->weight, $all)) / 100, $all[0]->repair,
            gradual: array_filter($all, fn (Fault $f) => ! $f->gradual) === [],
            jumpers: array_merge(...array_map(fn (Fault $f) => $f->jumpers, $all)),
            members: $all,
            mustNotRun: array_filter($all, fn (Fault $f) => $f->mustNotRun) !== [],
        );
    }

    /**
     * Several at once that an instructor has put together, as one fault of the model.
     *
     * @param array{faults: list<string>, weight: float, title?: string} $c
     *
     * @throws DocumentError
     */
    private function authored(array $c, string $pointer): Fault
    {
        try {
            $compound = $this->compound($c['faults']);
        } catch (DocumentError $e) {
            throw new DocumentError("$pointer/faults", $e->getMessage());
        }
        if (count($compound->members) !== count($c['faults'])) {
            throw new DocumentError(
                "$pointer/faults",
                Words::say('faults.fault_set.must_be_different_faults_the'),
            );
        }

        return new Fault(
            ...['title' => $c['title'] ?? $compound->title, 'weight' => (float) $c['weight']] +
                get_object_vars($compound),
        );
    }

    /**
     * Only compounds of its faults.
     *
     * @param list<list<string>> $sets
     */
    public function compounds(array $sets): self
    {
        $all = [];
        foreach ($sets as $set) {
            $fault = $this->compound($set);
            $all[$fault->id] = $fault;
        }

        return new self($all);
    }

    private function unknown(string $id): string
    {
        [$part] = explode(':', $id);
        $near = array_filter(array_keys($this->faults), fn (string $f) => str_starts_with($f, "$part:"));

        return $near === []
            ? Words::say('faults.fault_set.there_is_no_fault_no', ['id' => $id, 'part' => $part])
            : Words::say('faults.fault_set.there_is_no_fault_has', [
                'id' => $id,
                'part' => $part,
                'near' => implode(', ', $near),
            ]);
    }
}
