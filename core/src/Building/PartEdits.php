<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;

/** Edits of parts: where they sit, what they are called, what is special about them. */
final readonly class PartEdits
{
    /** How far a copy lies from what it is a copy of. */
    private const BESIDE = [28, 28];

    public function __construct(private Library $library) {}

    /**
     * @param array<string, mixed> $d
     * @param array<string, mixed> $e checked
     * @return array<string, mixed>
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
            'remove' => $this->remove($d, $e['parts'] ?? [], $e['wires'] ?? []),
            'label' => $this->changed($d, $e['part'], fn (array $part) => ['label' => mb_substr(trim($e['label']), 0, 60)] + $part),
            'group' => $this->group($d, $e['parts'], true),
            'ungroup' => $this->group($d, $e['parts'], false),
            'param' => $this->param($d, $e),
            'flaw' => $this->flaw($d, $e),
            'link' => $this->changed($d, $e['part'], fn (array $part) => ['links' => [$e['name'] => $e['to']] + ($part['links'] ?? [])] + $part),
            default => $this->sequence($d, $e),
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
     * @param array<string, mixed> $d
     */
    public static function free(array $d, string $wanted): string
    {
        $taken = array_fill_keys([...array_column($d['parts'], 'id'), ...array_column($d['wires'], 'id'), ...array_column($d['includes'] ?? [], 'id'), ...array_keys($d['process'] ?? [])], true);
        for ($i = 2, $id = $wanted; isset($taken[$id]); $i++) {
            $id = "$wanted-$i";
        }

        return $id;
    }

    /**
     * @param array<string, mixed> $d
     * @param array<string, mixed> $e
     * @return array<string, mixed>
     */
    private function place(array $d, array $e): array
    {
        if (isset($e['own'])) {
            $d['kinds'][$e['kind']] = $e['own'];
        }
        $kind = $d['kinds'][$e['kind']] ?? $this->library->kind($e['kind'], '/kind');
        $label = $e['label'] ?? ucfirst(explode(',', $kind['title'])[0]);
        $same = count(array_filter($d['parts'], fn (array $p) => preg_match('/^'.preg_quote($label, '/').'( \d+)?$/', $p['label']) === 1));
        $label = isset($e['label']) || $same === 0 ? $label : $label.' '.($same + 1);
        $label = mb_substr($label, 0, 60);
        if (isset($e['id']) && self::free($d, $e['id']) !== $e['id']) {
            throw new EditError('/id', "Something is called \"{$e['id']}\" already.");
        }
        $d['parts'][] = ['id' => $e['id'] ?? self::free($d, self::slug($label)), 'kind' => $e['kind'], 'label' => $label, 'at' => self::onBoard($e['at'])];

        return $d;
    }

    /**
     * @param array<string, mixed> $d
     * @param list<string> $ids parts, or what is included
     * @param array{int|float, int|float} $by
     * @return array<string, mixed>
     */
    private function move(array $d, array $ids, array $by): array
    {
        $ids = $this->withGroups($d, $ids);
        $here = array_column($d['parts'], 'id');
        $includes = array_column($d['includes'] ?? [], 'id');
        foreach (array_unique(array_map(fn (string $id) => in_array($id, $here, true) ? $id : explode('.', $id)[0], $ids)) as $id) {
            $part = array_search($id, $here, true);
            $include = array_search($id, $includes, true);
            if ($part !== false) {
                $d['parts'][$part]['at'] = self::onBoard([$d['parts'][$part]['at'][0] + $by[0], $d['parts'][$part]['at'][1] + $by[1]]);
            } elseif ($include !== false) {
                $old = $d['includes'][$include]['by'] ?? [0, 0];
                $d['includes'][$include]['by'] = [max(0, $old[0] + $by[0]), max(0, $old[1] + $by[1])];
            } else {
                throw new EditError('/parts', "There is no part called \"$id\".");
            }
        }

        return $d;
    }

    /**
     * @param array<string, mixed> $d
     * @param list<string> $ids
     * @return array<string, mixed>
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
            'left' => min(array_map($x, $boxes)), 'right' => max(array_map($x, $boxes)), 'top' => min(array_map($y, $boxes)), 'bottom' => max(array_map($y, $boxes)),
            'centre' => $x(reset($boxes)), default => $y(reset($boxes)),
        };
        foreach ($boxes as $id => $box) {
            $by = $across ? [$line - $x($box), 0] : [0, $line - $y($box)];
            $d = $this->changed($d, $id, fn (array $part) => ['at' => self::onBoard([$part['at'][0] + $by[0], $part['at'][1] + $by[1]])] + $part);
        }

        return $d;
    }

    /**
     * @param array<string, mixed> $d
     * @param list<string> $ids
     * @param array{int|float, int|float} $by
     * @return array<string, mixed> with copies, and of the wires those that lie between them
     */
    private function copy(array $d, array $ids, array $by): array
    {
        $names = [];
        foreach ($this->withGroups($d, $ids) as $id) {
            $part = $this->part($d, $id);
            $names[$id] = self::free($d, (string) preg_replace('/-\d+$/', '', $id));
            $same = count(array_filter($d['parts'], fn (array $p) => $p['kind'] === $part['kind']));
            $d['parts'][] = ['id' => $names[$id], 'label' => preg_replace('/ \d+$/', '', $part['label']).' '.($same + 1), 'at' => self::onBoard([$part['at'][0] + $by[0], $part['at'][1] + $by[1]])] + $part;
        }
        foreach ($d['wires'] as $wire) {
            [$from, $to] = [Model::split($wire['from']), Model::split($wire['to'])];
            if (isset($names[$from[0]], $names[$to[0]])) {
                unset($wire['via'], $wire['cable'], $wire['near']);
                $wire['modes'] = array_values(array_diff($wire['modes'] ?? [], ['touches']));
                $d['wires'][] = ['id' => WireEdits::next($d), 'from' => "{$names[$from[0]]}.$from[1]", 'to' => "{$names[$to[0]]}.$to[1]"] + $wire;
            }
        }

        return $d;
    }

    /**
     * Takes parts and wires off, and with them all that speaks of them.
     *
     * @param array<string, mixed> $d
     * @param list<string> $parts parts, or what is included
     * @param list<string> $wires
     * @return array<string, mixed>
     */
    private function remove(array $d, array $parts, array $wires): array
    {
        $known = array_fill_keys([...array_column($d['parts'], 'id'), ...array_column($d['includes'] ?? [], 'id')], true);
        foreach ($parts as $id) {
            isset($known[$id]) || throw new EditError('/parts', isset($known[explode('.', $id)[0]]) ? "\"$id\" belongs to \"".explode('.', $id)[0].'", which is included: take that off as a whole, or name it under "without".' : "There is no part called \"$id\".");
        }
        foreach (array_diff($wires, array_column($d['wires'], 'id')) as $id) {
            throw new EditError('/wires', "There is no wire called \"$id\".");
        }
        $gone = array_fill_keys($parts, true);
        $isGone = fn (string $id): bool => isset($gone[$id]) || isset($gone[explode('.', $id)[0]]) && ! in_array($id, array_column($d['parts'], 'id'), true);
        $at = fn (string $place): bool => $isGone(Model::split($place)[0]);
        $lost = fn (array $w): bool => in_array($w['id'], $wires, true) || $at($w['from']) || $at($w['to']);
        $dead = array_fill_keys(array_column(array_filter($d['wires'], $lost), 'id'), true);
        $of = fn (string $id): bool => $isGone($id) || isset($dead[$id]);
        $keep = fn (string $key, callable $bad) => isset($d[$key]) ? array_values(array_filter($d[$key], fn (array $x) => ! $bad($x))) : null;
        foreach (array_filter([
            'parts' => $keep('parts', fn (array $p) => $isGone($p['id'])),
            'includes' => $keep('includes', fn (array $i) => isset($gone[$i['id']])),
            'wires' => $keep('wires', $lost),
            'joined' => isset($d['joined']) ? array_values(array_filter(array_map(fn (array $g) => array_values(array_filter($g, fn (string $p) => ! $at($p))), $d['joined']), fn (array $g) => count($g) > 1)) : null,
            'groups' => isset($d['groups']) ? self::sets($d['groups'], $isGone) : null,
            'views' => isset($d['views']) ? self::sets($d['views'], $isGone) : null,
            'found' => $keep('found', fn (array $f) => array_filter([$f['part'], ...array_map(fn (string $p) => Model::split($p)[0], $f['jumper'] ?? $f['swapped'] ?? [$f['end'], $f['on']])], $of) !== []),
            'as_built' => $keep('as_built', fn (array $b) => $of($b['wire'] ?? Model::split($b['end'])[0]) || isset($b['on']) && $at($b['on'])),
            'compounds' => $keep('compounds', fn (array $c) => array_filter($c['faults'], fn (string $f) => $of(explode(':', $f)[0])) !== []),
        ], fn ($v) => $v !== null) as $key => $value) {
            $d[$key] = $value;
        }
        foreach (['taps' => 'part', 'percepts' => 'part'] as $key => $field) {
            if (isset($d[$key])) {
                $d[$key] = array_filter($d[$key], fn (array $x) => ! isset($x[$field]) || ! $isGone($x[$field]));
            }
        }
        if (isset($d['weights'])) {
            $d['weights'] = array_filter($d['weights'], fn (string|int $fault) => ! $of(explode(':', (string) $fault)[0]), ARRAY_FILTER_USE_KEY);
        }
        foreach ($d['wires'] as $i => $wire) {
            if (isset($wire['near']) && $at($wire['near'])) {
                unset($d['wires'][$i]['near']);
            }
        }
        foreach ($d['doors'] ?? [] as $i => $door) {
            $d['doors'][$i]['covers'] = array_values(array_filter($door['covers'], fn (string $id) => ! $isGone($id)));
        }
        foreach ($d['visits'] ?? [] as $id => $visit) {
            $d['visits'][$id]['household'] = array_values(array_filter($visit['household'], fn (array $step) => ! $isGone($step['part'])));
        }
        $used = array_column($d['wires'], 'cable');
        if (isset($d['cables'])) {
            $d['cables'] = array_values(array_filter($d['cables'], fn (array $c) => in_array($c['id'], $used, true)));
        }

        return $d;
    }

    /**
     * Sets of parts without those that are gone; one that is left with one part is none.
     *
     * @param list<list<string>> $sets
     * @param callable(string): bool $isGone
     * @return list<list<string>>
     */
    private static function sets(array $sets, callable $isGone): array
    {
        return array_values(array_filter(array_map(fn (array $set) => array_values(array_filter($set, fn (string $id) => ! $isGone($id))), $sets), fn (array $set) => count($set) > 1));
    }

    /**
     * @param array<string, mixed> $d
     * @param list<string> $ids
     * @return array<string, mixed>
     */
    private function group(array $d, array $ids, bool $on): array
    {
        foreach ($ids as $id) {
            $this->part($d, $id);
        }
        $groups = array_values(array_filter(array_map(fn (array $g) => array_values(array_diff($g, $ids)), $d['groups'] ?? []), fn (array $g) => count($g) > 1));
        if ($on && count(array_unique($ids)) < 2) {
            throw new EditError('/parts', 'A group has two parts or more.');
        }
        $groups = $on ? [...$groups, array_values(array_unique($ids))] : $groups;
        unset($d['groups']);

        return $groups === [] ? $d : ['groups' => $groups] + $d;
    }

    /**
     * @param array<string, mixed> $d
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
     * @param array<string, mixed> $d
     * @param array<string, mixed> $e
     * @return array<string, mixed>
     */
    private function param(array $d, array $e): array
    {
        $spec = $this->kindOf($d, $e['part'])['primitives'][$e['primitive']] ?? throw new EditError('/primitive', "\"{$e['part']}\" has nothing called \"{$e['primitive']}\".");
        $value = $e['value'] ?? null;
        if (in_array($e['key'], ['type', 'between', 'table', 'inputs', 'follows', 'overrides'], true)) {
            throw new EditError('/key', "\"{$e['key']}\" is how the kind is made; it is not changed for one part.");
        }
        $usual = $spec[$e['key']] ?? null;
        if ($value !== null && $usual !== null && (is_int($usual) || is_float($usual)) !== (is_int($value) || is_float($value))) {
            throw new EditError('/value', "\"{$e['key']}\" ".(is_string($usual) ? 'is a word.' : 'is a number.'));
        }
        if (is_string($value) && isset($spec['positions']) && $e['key'] === 'at' && ! in_array($value, $spec['positions'], true)) {
            throw new EditError('/value', 'Must be one of '.implode(', ', $spec['positions']).'.');
        }

        foreach (is_int($value) || is_float($value) ? Parameters::of($this->kindOf($d, $e['part'])) : [] as $p) {
            if ($p['primitive'] === $e['primitive'] && $p['key'] === $e['key'] && $p['least'] !== null && ($value < $p['least'] || $value > $p['most'])) {
                throw new EditError('/value', sprintf('%s: from %g to %g %s; usual is %s.', $p['label'], $p['least'], $p['most'], $p['unit'], $p['usual']));
            }
        }

        return $this->changed($d, $e['part'], function (array $part) use ($e, $value): array {
            if ($value === null) {
                unset($part['params'][$e['primitive']][$e['key']]);
            } else {
                $part['params'][$e['primitive']][$e['key']] = $value;
            }

            return self::tidied($part, $e['primitive']);
        });
    }

    /**
     * A fault that comes and goes, for a contact of a part and of all of its kind: until it is tapped, after so many makings, or
     * after so long.
     *
     * @param array<string, mixed> $d
     * @param array<string, mixed> $e
     * @return array<string, mixed>
     */
    private function flaw(array $d, array $e): array
    {
        $kind = $this->kindOf($d, $e['part']);
        if (($kind['primitives'][$e['contact']]['type'] ?? '') !== 'contact') {
            throw new EditError('/contact', "\"{$e['part']}\" has no contact called \"{$e['contact']}\"; it has ".(implode(', ', array_keys(array_filter($kind['primitives'], fn (array $p) => $p['type'] === 'contact'))) ?: 'none').'.');
        }
        if ($e['count'] < 1 || $e['count'] > 10000) {
            throw new EditError('/count', 'From 1 to 10,000.');
        }
        $count = (int) $e['count'];
        $lasts = isset($e['for_s']) ? ['for_s' => max(1, (int) $e['for_s'])] : [];
        [$flaw, $words] = match ($e['by']) {
            'taps' => [['taps' => $count], 'loose, makes after '.($count === 1 ? 'a tap' : "$count taps")],
            'makes' => [['makes' => $count] + $lasts, "opens for good after $count makings"],
            default => [['after_s' => $count] + ($lasts ?: ['for_s' => 60]), "opens again $count s after it has made"],
        };
        $mode = self::slug("{$e['contact']}-{$e['by']}-$count");
        $kind['modes'][$mode] = ['title' => str_replace('_', ' ', $e['contact'])." $words", 'set' => ["{$e['contact']}.flaw" => $flaw], 'weight' => (float) ($e['weight'] ?? 0.2), 'repair' => $e['by'] === 'taps' ? 'set' : explode(',', $kind['title'])[0]];
        $name = array_column($d['parts'], 'kind', 'id')[$e['part']];
        $d['kinds'] = [$name => $kind] + ($d['kinds'] ?? []);

        return $d;
    }

    /**
     * A line of the sequence table of one control.
     *
     * @param array<string, mixed> $d
     * @param array<string, mixed> $e
     * @return array<string, mixed>
     */
    private function sequence(array $d, array $e): array
    {
        $spec = $this->kindOf($d, $e['part'])['primitives'][$e['primitive']] ?? null;
        if (($spec['type'] ?? '') !== 'control') {
            throw new EditError('/primitive', "\"{$e['part']}\" has no sequence table called \"{$e['primitive']}\".");
        }
        try {
            Table::with($spec['table'], [$e['line'] => $e['value'] ?? null]);
        } catch (TableError $error) {
            throw new EditError('/line', $error->sentence);
        }
        $usual = $spec['table'];
        foreach (explode('.', $e['line']) as $key) {
            $usual = is_array($usual) ? $usual[$key] ?? null : null;
        }

        return $this->changed($d, $e['part'], function (array $part) use ($e, $usual): array {
            $lines = $part['params'][$e['primitive']]['overrides'] ?? [];
            unset($lines[$e['line']]);
            if (($e['value'] ?? null) !== $usual) {
                $lines[$e['line']] = $e['value'] ?? null;
            }
            unset($part['params'][$e['primitive']]['overrides']);
            if ($lines !== []) {
                $part['params'][$e['primitive']]['overrides'] = $lines;
            }

            return self::tidied($part, $e['primitive']);
        });
    }

    /**
     * Without what is empty.
     *
     * @param array<string, mixed> $part
     * @return array<string, mixed>
     */
    private static function tidied(array $part, string $primitive): array
    {
        if (($part['params'][$primitive] ?? []) === []) {
            unset($part['params'][$primitive]);
        }
        if (($part['params'] ?? []) === []) {
            unset($part['params']);
        }

        return $part;
    }

    /**
     * @param array<string, mixed> $d
     * @param callable(array<string, mixed>): array<string, mixed> $change
     * @return array<string, mixed>
     */
    private function changed(array $d, string $id, callable $change): array
    {
        $this->part($d, $id);
        foreach ($d['parts'] as $i => $part) {
            if ($part['id'] === $id) {
                $d['parts'][$i] = $change($part);
            }
        }

        return $d;
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    private function part(array $d, string $id): array
    {
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                return $part;
            }
        }
        throw new EditError('/part', in_array(explode('.', $id)[0], array_column($d['includes'] ?? [], 'id'), true)
            ? "\"$id\" belongs to \"".explode('.', $id)[0].'", which is included: change it there, or by its "params".' : "There is no part called \"$id\".");
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    private function kindOf(array $d, string $id): array
    {
        $kind = $this->part($d, $id)['kind'];

        return $d['kinds'][$kind] ?? $this->library->kind($kind);
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
