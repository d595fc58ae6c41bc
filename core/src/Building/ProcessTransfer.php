<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\HoldsHeat;
use OddSpark\Parts\Primitive;

/**
 * Heat, draught, water, what is perceived and what the household does "as in" another model: taken over for the parts
 * that are here, each standing for the one of its kind, or of its family, there.
 *
 * What speaks of a part that has no counterpart is left out: from a list of ways it drops, an element that cannot do
 * without it does not come. What is here already stays as it is.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type HouseholdDocument from Shapes
 */
final readonly class ProcessTransfer
{
    /** Keys whose values are words, and name no part. */
    private const WORDS = [
        'type',
        'title',
        'name',
        'label',
        'tone',
        'sense',
        'from',
        'thing',
        'instrument',
        'lever',
        'key',
        'when',
        'to_say',
        'fuel',
        'shows',
        'mode',
        'say',
    ];

    private const MAPS = ['process', 'percepts', 'taps', 'visits'];

    public function __construct(private Library $library) {}

    /**
     * @param ModelDocument $d
     * @return ModelDocument
     *
     * @throws EditError|DocumentError
     */
    public function onto(array $d, string $name): array
    {
        if (! in_array($name, $this->library->names(), true)) {
            throw new EditError(
                '/model',
                "There is no model \"$name\" to go by; there are ".implode(', ', $this->library->names()).'.',
            );
        }
        [$there, $here] = [$this->spread($this->library->document($name)), $this->spread($d)];
        $names = $this->counterparts($there, $here);
        $gone = array_fill_keys(array_diff(array_column($there['parts'], 'id'), array_keys($names)), true);
        $taken = $this->spoken(
            array_intersect_key($there, array_flip([...self::MAPS, 'views', 'doors', 'tape', 'household', 'found'])),
            $names,
        );

        [$process, $lost] = $this->without($taken['process'], $gone, array_keys($there['process']));
        $alive = fn (string $id): bool => ! isset($lost[$id]) && ! isset($gone[$this->owner($id)]);
        $d['process'] = ($d['process'] ?? []) + array_diff_key($process, $here['process']);
        $d = $this->joinedOn($d, $here['process'], $process);
        $d['percepts'] =
            ($d['percepts'] ?? []) +
            array_filter(
                array_diff_key($taken['percepts'] ?? [], $here['percepts'] ?? []),
                fn (array $p) => $alive($p['of']) && $alive($p['part'] ?? ''),
            );
        $d['taps'] =
            ($d['taps'] ?? []) +
            array_filter(
                array_diff_key($taken['taps'] ?? [], $here['taps'] ?? []),
                fn (array $t) => $alive($t['of']) && $alive($t['part']),
            );
        $d = $this->piped($d, $here, $there, $names);
        foreach (['views' => null, 'doors' => 'covers'] as $list => $key) {
            if (($d[$list] ?? []) === [] && ($here[$list] ?? []) === []) {
                $sets = array_map(
                    fn (array $x) => $key === null
                        ? array_values(array_filter($x, $alive))
                        : [$key => array_values(array_filter($x[$key], $alive))] + $x,
                    $taken[$list] ?? [],
                );
                $sets = array_map(
                    fn (array $x) => isset($x['through'])
                        ? ['through' => array_values(array_filter($x['through'], $alive))] + $x
                        : $x,
                    $sets,
                );
                $sets = array_map(
                    fn (array $x) => isset($x['interlock']) && ! $alive($x['interlock'])
                        ? array_diff_key($x, ['interlock' => 1])
                        : $x,
                    $sets,
                );
                $d[$list] = array_values(
                    array_filter($sets, fn (array $x) => $key === null ? count($x) > 1 : $x[$key] !== []),
                );
            }
        }
        $channels = array_fill_keys(
            [...array_keys($d['percepts']), ...array_keys($here['percepts'] ?? []), ...$this->channels($here)],
            true,
        );
        if (($d['tape'] ?? []) === []) {
            $shown = array_fill_keys(array_column($here['tape'] ?? [], 'channel'), true);
            $d['tape'] = array_values(
                array_filter(
                    $taken['tape'],
                    fn (array $lane) => isset($channels[$lane['channel']]) && ! isset($shown[$lane['channel']]),
                ),
            );
        }
        if (! isset($d['household']) && isset($taken['household'])) {
            $household = $this->household($taken['household'], $channels, $alive);
            if ($household !== null) {
                $d['household'] = $household;
            }
        }
        foreach ($taken['visits'] as $id => $visit) {
            $doors = array_column($d['doors'] ?? [], 'id');
            $visit['household'] = array_values(array_filter(
                $visit['household'],
                fn (array $step) => isset($step['door'])
                    ? in_array($step['door'], $doors, true)
                    : $alive($step['part'] ?? $step['reset']),
            ));
            $d['visits'][$id] ??= $visit;
        }

        return $this->linked($d, $there, array_flip($names));
    }

    /**
     * @param ModelDocument $document
     * @return ModelDocument with what it includes, and with what it may have left out
     */
    private function spread(array $document): array
    {
        return $this->library->spread($document) + ['process' => [], 'tape' => [], 'visits' => []];
    }

    /**
     * The pipes between parts that are here.
     *
     * @param ModelDocument $d
     * @param ModelDocument $here
     * @param ModelDocument $there
     * @param array<string, string> $names
     * @return ModelDocument
     */
    private function piped(array $d, array $here, array $there, array $names): array
    {
        $joined = [];
        foreach ($here['pipes'] ?? [] as $pipe) {
            $joined[$pipe['from'].' '.$pipe['to']] = $joined[$pipe['to'].' '.$pipe['from']] = true;
        }
        foreach ($there['pipes'] ?? [] as $pipe) {
            [$from, $to] = [$this->renamed($pipe['from'], $names), $this->renamed($pipe['to'], $names)];
            $isHere = isset($names[$this->owner($pipe['from'])], $names[$this->owner($pipe['to'])]);
            if ($isHere && ! isset($joined["$from $to"])) {
                $d['pipes'] = [...$d['pipes'] ?? [], ['id' => PipeEdits::next($d), 'from' => $from, 'to' => $to]];
            }
        }

        return $d;
    }

    /**
     * What is here already, told of what has come: water that from now on also heats another room.
     *
     * @param ModelDocument $d
     * @param array<string, ModelDocument> $here
     * @param array<string, Figures> $process what was taken over
     * @return ModelDocument
     */
    private function joinedOn(array $d, array $here, array $process): array
    {
        $new = array_diff_key($process, $here);
        $isNew = fn (mixed $v): bool => is_string($v) && isset($new[$v]);
        foreach (array_intersect_key($process, $here) as $id => $element) {
            foreach (array_filter($element, fn (mixed $v) => is_array($v) && array_is_list($v)) as $key => $items) {
                $more = array_values(
                    array_filter(
                        $items,
                        fn (mixed $item) => ! in_array($item, $here[$id][$key] ?? [], true) &&
                            (is_array($item) ? $this->names($item, $isNew) : $isNew($item)),
                    ),
                );
                if ($more === []) {
                    continue;
                }
                $all = [...($here[$id][$key] ?? []), ...$more];
                $at = array_search(explode('.', $id)[0], array_column($d['includes'] ?? [], 'id'), true);
                if (isset($d['process'][$id])) {
                    $d['process'][$id][$key] = $all;
                } elseif ($at !== false) {
                    $d['includes'][$at]['process'][substr($id, strlen($d['includes'][$at]['id']) + 1)][$key] = $all;
                }
            }
        }

        return $d;
    }

    /**
     * Which part there stands for which here: of one kind by their order, else the only one of a family.
     *
     * @param ModelDocument $there
     * @param ModelDocument $here
     * @return array<string, string> id here by id there
     */
    private function counterparts(array $there, array $here): array
    {
        $names = [];
        $free = array_column($here['parts'], null, 'id');
        // where the other model is composed, what it includes answers to what is included here, and its own to our own
        $composed = array_filter($there['parts'], fn (array $p) => str_contains($p['id'], '.')) !== [];
        $belongs = fn (string $one, string $two): bool => ! $composed ||
            str_contains($one, '.') === str_contains($two, '.');
        foreach (['kind', 'family'] as $by) {
            $trait = fn (array $d, array $part): string => $by === 'kind'
                ? $part['kind']
                : $d['kinds'][$part['kind']]['family'].' '.$d['kinds'][$part['kind']]['symbol'];
            foreach ($there['parts'] as $part) {
                foreach (isset($names[$part['id']]) ? [] : $free as $id => $candidate) {
                    if ($belongs((string) $id, $part['id']) && $trait($here, $candidate) === $trait($there, $part)) {
                        $names[$part['id']] = (string) $id;
                        unset($free[$id]);
                        break;
                    }
                }
            }
        }

        return $names;
    }

    /**
     * Every word that names a part, or something in one, in the names of here.
     *
     * @param array<array-key, mixed> $value
     * @param array<string, string> $names
     * @return array<array-key, mixed>
     */
    private function spoken(array $value, array $names): array
    {
        $out = [];
        foreach ($value as $key => $v) {
            $key = is_string($key) && str_contains($key, '.') ? $this->renamed($key, $names) : $key; // a channel; other keys are the format's words
            $out[$key] = is_array($v)
                ? $this->spoken($v, $names)
                : (is_string($v) && ! in_array($key, self::WORDS, true)
                    ? $this->renamed($v, $names)
                    : $v);
        }

        return $out;
    }

    /** @param array<string, string> $names */
    private function renamed(string $v, array $names): string
    {
        if (isset($names[$v])) {
            return $names[$v];
        }
        $dot = strrpos($v, '.');

        return $dot !== false && isset($names[substr($v, 0, $dot)]) ? $names[substr($v, 0, $dot)].substr($v, $dot) : $v;
    }

    private function owner(string $id): string
    {
        $dot = strrpos($id, '.');

        return $dot === false ? $id : substr($id, 0, $dot);
    }

    /**
     * Elements without what is not here; one that needs it goes too, and those that need that one.
     *
     * @param array<string, Figures> $process
     * @param array<string, true> $gone parts
     * @param list<string> $ids
     * @return array{array<string, Figures>, array<string, true>} what is left, and what is lost
     */
    private function without(array $process, array $gone, array $ids): array
    {
        $lost = [];
        do {
            $before = count($lost);
            $known = array_fill_keys($ids, true);
            $bad = fn (mixed $v): bool => is_string($v) &&
                (isset($lost[$v]) || isset($gone[$v]) || (str_contains($v, '.') && isset($gone[$this->owner($v)])));
            foreach ($process as $id => $element) {
                foreach ($element as $key => $v) {
                    if (is_array($v)) {
                        $kept = array_values(
                            array_filter($v, fn (mixed $x) => is_array($x) ? ! $this->names($x, $bad) : ! $bad($x)),
                        );
                        if (
                            $kept !== $v &&
                            is_a(Primitives::TYPES[$element['type']], HoldsHeat::class, true) &&
                            $this->linksOf($kept, $known) === 0 &&
                            $this->linksOf($v, $known) > 0
                        ) {
                            $lost[$id] = true; // nothing comes to it any more
                        }
                        // a heater without a flame has nothing to give; a burner that nothing lights does not burn
                        if ($kept === [] && $v !== [] && in_array($key, ['lit_by', 'loses'], true)) {
                            $lost[$id] = true;
                        }
                        $process[$id][$key] = $kept;
                    } elseif ($bad($v)) {
                        $lost[$id] = true;
                    }
                }
            }
            $process = array_diff_key($process, $lost);
        } while (count($lost) > $before);

        return [$process, $lost];
    }

    /**
     * How many words of a value name a process.
     *
     * @param array<array-key, mixed> $value
     * @param array<string, true> $known
     */
    private function linksOf(array $value, array $known): int
    {
        $count = 0;
        array_walk_recursive($value, function (mixed $v) use (&$count, $known): void {
            $count += is_string($v) && isset($known[$v]) ? 1 : 0;
        });

        return $count;
    }

    /**
     * @param array<array-key, mixed> $value
     * @param callable(mixed): bool $bad
     */
    private function names(array $value, callable $bad): bool
    {
        foreach ($value as $v) {
            if (is_array($v) ? $this->names($v, $bad) : $bad($v)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param ModelDocument $d resolved
     * @return list<string> what is perceived of the parts themselves
     */
    private function channels(array $d): array
    {
        $channels = [];
        foreach ($d['parts'] as $part) {
            foreach (array_keys($d['kinds'][$part['kind']]['percepts'] ?? []) as $name) {
                $channels[] = "{$part['id']}.$name";
            }
        }

        return $channels;
    }

    /**
     * @param HouseholdDocument $h
     * @param array<string, true> $channels
     * @param callable(string): bool $alive
     * @return HouseholdDocument|null null when no room is left
     */
    private function household(array $h, array $channels, callable $alive): ?array
    {
        $h['rooms'] = array_values(
            array_filter($h['rooms'], fn (array $room) => $alive($room['of']) && $alive($room['calls']['by'])),
        );
        if ($h['rooms'] === []) {
            return null;
        }
        foreach (['heat', 'cycle', 'air', 'smell', 'hum'] as $key) {
            if (isset($h[$key])) {
                $h[$key] = array_intersect_key($h[$key], $channels);
            }
        }
        if (isset($h['hot_water']) && ! $alive($h['hot_water']['of'])) {
            unset($h['hot_water']);
        }

        return $h;
    }

    /**
     * What kinds ask for by name, as it is answered there.
     *
     * @param ModelDocument $d
     * @param ModelDocument $there
     * @param array<string, string> $from id there by id here
     * @return ModelDocument
     */
    private function linked(array $d, array $there, array $from): array
    {
        $links = array_column($there['parts'], 'links', 'id');
        $names = array_flip($from);
        foreach ($d['parts'] as $i => $part) {
            $theirs = $links[$from[$part['id']] ?? ''] ?? [];
            if ($theirs !== []) {
                $d['parts'][$i]['links'] =
                    ($part['links'] ?? []) + array_map(fn (string $to) => $this->renamed($to, $names), $theirs);
            }
        }

        return $d;
    }
}
