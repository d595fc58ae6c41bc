<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

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
                Words::say('building.process_transfer.there_is_no_model_to', [
                    'name' => $name,
                    'names' => implode(', ', $this->library->names()),
                ]),
            );
        }
        [$there, $here] = [$this->spread($this->library->document($name)), $this->spread($d)];
        $names = Counterparts::of($there, $here);
        $gone = array_fill_keys(array_diff(array_column($there['parts'], 'id'), array_keys($names)), true);
        $taken = Counterparts::spoken(
            array_intersect_key($there, array_flip([...self::MAPS, 'views', 'doors', 'tape', 'household', 'found'])),
            $names,
        );

        [$process, $lost] = ProcessPruning::without($taken['process'], $gone, array_keys($there['process']));
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
            [$from, $to] = [Counterparts::renamed($pipe['from'], $names), Counterparts::renamed($pipe['to'], $names)];
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
                            (is_array($item) ? ProcessPruning::names($item, $isNew) : $isNew($item)),
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

    private function owner(string $id): string
    {
        $dot = strrpos($id, '.');

        return $dot === false ? $id : substr($id, 0, $dot);
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
        foreach (['heat', 'cool', 'cycle', 'air', 'smell', 'fumes', 'hum'] as $key) {
            if (isset($h[$key])) {
                $h[$key] = array_intersect_key($h[$key], $channels);
            }
        }
        if (isset($h['hot_water']) && ! $alive($h['hot_water']['of'])) {
            unset($h['hot_water']);
        }
        if (isset($h['boiler']) && ! $alive($h['boiler'])) {
            unset($h['boiler']);
        }
        if (isset($h['radiators'])) {
            $h['radiators'] = array_values(array_filter($h['radiators'], $alive));
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
                    ($part['links'] ?? []) + array_map(fn (string $to) => Counterparts::renamed($to, $names), $theirs);
            }
        }

        return $d;
    }
}
