<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * Edits of parts: where they sit, what they are called, which move together.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class PartEdits extends OnParts
{
    /** How far a copy lies from what it is a copy of. */
    private const BESIDE = [28, 28];

    /**
     * @param ModelDocument $d
     * @param Edit $e checked
     * @return ModelDocument
     *
     * @throws EditError|DocumentError
     */
    public function apply(array $d, array $e): array
    {
        return match ($e['do']) {
            'place' => $this->place($d, $e),
            'move' => $this->move($d, $e['parts'], $e['by']),
            'align' => $this->align($d, $e['parts'], $e['edge']),
            'copy' => $this->copy($d, $e['parts'], $e['by'] ?? self::BESIDE),
            'label' => $this->changed(
                $d,
                $e['part'],
                fn (array $part) => ['label' => mb_substr(trim($e['label']), 0, 60)] + $part,
            ),
            'stock' => $this->changed(
                $d,
                $e['part'],
                fn (array $part) => $e['in'] === 'van' ? $part + ['van' => true] : array_diff_key($part, ['van' => 1]),
            ),
            'group' => $this->group($d, $e['parts'], true),
            default => $this->group($d, $e['parts'], false),
        };
    }

    /** A name as ids are written. */
    public static function slug(string $label): string
    {
        $slug = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($label)), '-');

        return substr($slug === '' ? 'part' : $slug, 0, 40);
    }

    /**
     * A name that nothing has yet: the wanted one, or with the first free number after it.
     *
     * @param ModelDocument $d
     */
    public static function free(array $d, string $wanted): string
    {
        $taken = array_fill_keys(
            [
                ...array_column($d['parts'], 'id'),
                ...array_column($d['wires'], 'id'),
                ...array_column($d['pipes'] ?? [], 'id'),
                ...array_column($d['includes'] ?? [], 'id'),
                ...array_keys($d['process'] ?? []),
            ],
            true,
        );
        for ($i = 2, $id = $wanted; isset($taken[$id]); $i++) {
            $id = "$wanted-$i";
        }

        return $id;
    }

    /**
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function place(array $d, array $e): array
    {
        if (isset($e['own'])) {
            $d['kinds'][$e['kind']] = $e['own'];
        }
        $kind = $d['kinds'][$e['kind']] ?? $this->library->kind($e['kind'], '/kind');
        $label = $e['label'] ?? ucfirst(explode(',', $kind['title'])[0]);
        $same = count(
            array_filter(
                $d['parts'],
                fn (array $p) => preg_match('/^'.preg_quote($label, '/').'( \d+)?$/', $p['label']) === 1,
            ),
        );
        $label = isset($e['label']) || $same === 0 ? $label : $label.' '.($same + 1);
        $label = mb_substr($label, 0, 60);
        if (isset($e['id']) && self::free($d, $e['id']) !== $e['id']) {
            throw new EditError('/id', Words::say('building.part_edits.something_is_called_already', [
                'id' => $e['id'],
            ]));
        }
        $d['parts'][] = [
            'id' => $e['id'] ?? self::free($d, self::slug($label)),
            'kind' => $e['kind'],
            'label' => $label,
            'at' => self::onBoard($e['at']),
        ];

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $ids parts, or what is included
     * @param array{int|float, int|float} $by
     * @return ModelDocument
     */
    private function move(array $d, array $ids, array $by): array
    {
        $ids = $this->withGroups($d, $ids);
        $here = array_column($d['parts'], 'id');
        $includes = array_column($d['includes'] ?? [], 'id');
        $own = fn (string $id): string => in_array($id, $here, true) ? $id : explode('.', $id)[0];
        foreach (array_unique(array_map($own, $ids)) as $id) {
            $part = array_search($id, $here, true);
            $include = array_search($id, $includes, true);
            if ($part !== false) {
                $d['parts'][$part]['at'] = self::onBoard([
                    $d['parts'][$part]['at'][0] + $by[0],
                    $d['parts'][$part]['at'][1] + $by[1],
                ]);
            } elseif ($include !== false) {
                $old = $d['includes'][$include]['by'] ?? [0, 0];
                $d['includes'][$include]['by'] = [max(0, $old[0] + $by[0]), max(0, $old[1] + $by[1])];
            } else {
                throw new EditError('/parts', Words::say('building.part_edits.there_is_no_part_called', [
                    'id' => $id,
                ]));
            }
        }

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $ids
     * @return ModelDocument
     */
    private function align(array $d, array $ids, string $edge): array
    {
        $kinds = $this->library->draft($d)->document['kinds'];
        $boxes = [];
        foreach ($ids as $id) {
            $part = $this->part($d, $id);
            [$w, $h] = $kinds[$part['kind']]['size'];
            $boxes[$id] = [$part['at'][0], $part['at'][1], $w, $h];
        }
        $x = fn (array $b): float => match ($edge) {
            'left' => $b[0], 'right' => $b[0] + $b[2], default => $b[0] + $b[2] / 2
        };
        $y = fn (array $b): float => match ($edge) {
            'top' => $b[1], 'bottom' => $b[1] + $b[3], default => $b[1] + $b[3] / 2
        };
        $across = in_array($edge, ['left', 'right', 'centre'], true);
        // they go to the first of them, or to the outermost
        $line = match ($edge) {
            'left' => min(array_map($x, $boxes)),
            'right' => max(array_map($x, $boxes)),
            'top' => min(array_map($y, $boxes)),
            'bottom' => max(array_map($y, $boxes)),
            'centre' => $x(reset($boxes)),
            default => $y(reset($boxes)),
        };
        foreach ($boxes as $id => $box) {
            $by = $across ? [$line - $x($box), 0] : [0, $line - $y($box)];
            $d = $this->changed(
                $d,
                $id,
                fn (array $part) => ['at' => self::onBoard([$part['at'][0] + $by[0], $part['at'][1] + $by[1]])] + $part,
            );
        }

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $ids
     * @param array{int|float, int|float} $by
     * @return ModelDocument with copies, and of the wires and pipes those that lie between them
     */
    private function copy(array $d, array $ids, array $by): array
    {
        $names = [];
        foreach ($this->withGroups($d, $ids) as $id) {
            $part = $this->part($d, $id);
            $names[$id] = self::free($d, (string) preg_replace('/-\d+$/', '', $id));
            $same = count(array_filter($d['parts'], fn (array $p) => $p['kind'] === $part['kind']));
            $d['parts'][] =
                [
                    'id' => $names[$id],
                    'label' => preg_replace('/ \d+$/', '', $part['label']).' '.($same + 1),
                    'at' => self::onBoard([$part['at'][0] + $by[0], $part['at'][1] + $by[1]]),
                ] + $part;
        }
        foreach ($d['wires'] as $wire) {
            [$from, $to] = [Model::split($wire['from']), Model::split($wire['to'])];
            if (isset($names[$from[0]], $names[$to[0]])) {
                unset($wire['via'], $wire['cable'], $wire['near']);
                $wire['modes'] = array_values(array_diff($wire['modes'] ?? [], ['touches']));
                $d['wires'][] =
                    [
                        'id' => WireEdits::next($d),
                        'from' => "{$names[$from[0]]}.$from[1]",
                        'to' => "{$names[$to[0]]}.$to[1]",
                    ] + $wire;
            }
        }
        foreach ($d['pipes'] ?? [] as $pipe) {
            [$from, $to] = [Model::split($pipe['from']), Model::split($pipe['to'])];
            if (isset($names[$from[0]], $names[$to[0]])) {
                $d['pipes'][] = [
                    'id' => PipeEdits::next($d),
                    'from' => "{$names[$from[0]]}.$from[1]",
                    'to' => "{$names[$to[0]]}.$to[1]",
                ];
            }
        }

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $ids
     * @return ModelDocument
     */
    private function group(array $d, array $ids, bool $on): array
    {
        foreach ($ids as $id) {
            $this->part($d, $id);
        }
        $groups = array_values(
            array_filter(
                array_map(fn (array $g) => array_values(array_diff($g, $ids)), $d['groups'] ?? []),
                fn (array $g) => count($g) > 1,
            ),
        );
        if ($on && count(array_unique($ids)) < 2) {
            throw new EditError('/parts', Words::say('building.part_edits.a_group_has_two_parts'));
        }
        $groups = $on ? [...$groups, array_values(array_unique($ids))] : $groups;
        unset($d['groups']);

        return $groups === [] ? $d : ['groups' => $groups] + $d;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $ids
     * @return list<string> with all that are of their groups
     */
    private function withGroups(array $d, array $ids): array
    {
        foreach ($d['groups'] ?? [] as $group) {
            if (array_intersect($group, $ids) !== []) {
                $ids = [...$ids, ...$group];
            }
        }

        return array_values(array_unique($ids));
    }

    /**
     * @param array{int|float, int|float} $at
     * @return array{int, int}
     */
    private static function onBoard(array $at): array
    {
        return [(int) round(max(14, min(9000, $at[0]))), (int) round(max(14, min(9000, $at[1])))];
    }
}
