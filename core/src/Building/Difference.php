<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;

/**
 * What differs between two documents of a model, in words.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Difference
{
    /** Sections that are told entry by entry. */
    private const SECTIONS = [
        'process' => 'Process',
        'percepts' => 'What is perceived',
        'taps' => 'Tap',
        'visits' => 'Visit',
        'weights' => 'Weight',
        'kinds' => 'Kind',
    ];

    private const LISTS = [
        'joined' => 'What is joined',
        'cables' => 'Cables',
        'views' => 'What is seen together',
        'doors' => 'Doors',
        'tape' => 'Lanes of the tape',
        'groups' => 'Groups',
        'household' => 'The household',
        'as_built' => 'What the drawing has wrong',
        'compounds' => 'Faults at once',
        'found' => 'What was left behind',
        'includes' => 'What is included',
        'universe' => 'Wire faults',
        'supply' => 'Supply',
        'ports' => 'Ports',
        'board' => 'Size of the board',
        'notes' => 'Notes',
        'about' => 'Author and licence',
        'jobs' => 'Jobs that come with it',
        'plate' => 'Rating plate',
        'readings' => 'Expected readings',
    ];

    /**
     * @param ModelDocument $before
     * @param ModelDocument $after
     * @return list<string> empty when they are the same
     */
    public static function words(array $before, array $after): array
    {
        $words = [];
        if ($before['title'] !== $after['title']) {
            $words[] = "Title: \"{$before['title']}\" is now \"{$after['title']}\".";
        }
        $labels = array_column($before['parts'], 'label', 'id');
        foreach (array_column($after['parts'], 'label', 'id') as $id => $label) {
            $labels[$id] = $label;
        }

        return [
            ...$words,
            ...self::parts($before, $after),
            ...self::wires($before, $after, $labels),
            ...self::pipes($before, $after, $labels),
            ...self::sections($before, $after),
        ];
    }

    /**
     * @param ModelDocument $before
     * @param ModelDocument $after
     * @return list<string>
     */
    private static function parts(array $before, array $after): array
    {
        $old = array_column($before['parts'], null, 'id');
        $new = array_column($after['parts'], null, 'id');
        $words = $moved = [];
        foreach (array_diff_key($new, $old) as $part) {
            $words[] = "{$part['label']} placed.";
        }
        foreach (array_diff_key($old, $new) as $part) {
            $words[] = "{$part['label']} taken off.";
        }
        foreach (array_intersect_key($new, $old) as $id => $part) {
            $was = $old[$id];
            if ($was['label'] !== $part['label']) {
                $words[] = "{$was['label']} is now called {$part['label']}.";
            }
            if ($was['at'] !== $part['at']) {
                $moved[] = $part['label'];
            }
            $words = [
                ...$words,
                ...self::figures($part['label'], $was['params'] ?? [], $part['params'] ?? []),
                ...self::figures($part['label'], $was['links'] ?? [], $part['links'] ?? []),
            ];
        }
        if ($moved !== []) {
            $words[] = count($moved) > 3 ? count($moved).' parts moved.' : implode(' and ', $moved).' moved.';
        }

        return $words;
    }

    /**
     * @param ModelDocument $before
     * @param ModelDocument $after
     * @param array<string, string> $labels
     * @return list<string>
     */
    private static function wires(array $before, array $after, array $labels): array
    {
        $old = array_column($before['wires'], null, 'id');
        $new = array_column($after['wires'], null, 'id');
        $place = fn (string $at): string => self::place($at, $labels);
        $name = fn (array $w): string => "{$w['colour']} wire {$place($w['from'])} to {$place($w['to'])}";
        $words = [];
        foreach (array_diff_key($new, $old) as $wire) {
            $words[] = ucfirst($name($wire)).' drawn.';
        }
        foreach (array_diff_key($old, $new) as $wire) {
            $words[] = ucfirst($name($wire)).' taken off.';
        }
        foreach (array_intersect_key($new, $old) as $id => $wire) {
            $was = $old[$id];
            foreach (['from', 'to'] as $end) {
                if ($was[$end] !== $wire[$end]) {
                    $words[] =
                        ucfirst($name($was)).": its end at {$place($was[$end])} is now on {$place($wire[$end])}.";
                }
            }
            if (($was['via'] ?? null) !== ($wire['via'] ?? null)) {
                $words[] = ucfirst($name($wire)).' led '.(isset($wire['via']) ? 'by hand.' : 'by rule again.');
            }
            $words = [
                ...$words,
                ...self::figures(
                    ucfirst($name($was)),
                    array_diff_key($was, ['from' => 1, 'to' => 1, 'via' => 1]),
                    array_diff_key($wire, ['from' => 1, 'to' => 1, 'via' => 1]),
                ),
            ];
        }

        return $words;
    }

    /** @param array<string, string> $labels */
    private static function place(string $at, array $labels): string
    {
        $dot = (int) strrpos($at, '.');

        return ($labels[substr($at, 0, $dot)] ?? substr($at, 0, $dot)).' '.substr($at, $dot + 1);
    }

    /**
     * @param ModelDocument $before
     * @param ModelDocument $after
     * @param array<string, string> $labels
     * @return list<string>
     */
    private static function pipes(array $before, array $after, array $labels): array
    {
        $old = array_column($before['pipes'] ?? [], null, 'id');
        $new = array_column($after['pipes'] ?? [], null, 'id');
        $name = fn (array $pipe): string => 'Pipe from '.
            self::place($pipe['from'], $labels).
            ' to '.
            self::place($pipe['to'], $labels);
        $words = [];
        foreach (array_diff_key($new, $old) as $pipe) {
            $words[] = $name($pipe).' joined.';
        }
        foreach (array_diff_key($old, $new) as $pipe) {
            $words[] = $name($pipe).' removed.';
        }
        foreach (array_intersect_key($new, $old) as $id => $pipe) {
            if ([$pipe['from'], $pipe['to']] !== [$old[$id]['from'], $old[$id]['to']]) {
                $words[] = $name($old[$id]).' is now: '.$name($pipe).'.';
            }
        }

        return $words;
    }

    /**
     * @param ModelDocument $before
     * @param ModelDocument $after
     * @return list<string>
     */
    private static function sections(array $before, array $after): array
    {
        $words = [];
        foreach (self::SECTIONS as $key => $title) {
            [$old, $new] = [$before[$key] ?? [], $after[$key] ?? []];
            foreach (array_diff_key($new, $old) as $id => $_) {
                $words[] = "$title \"$id\" added.";
            }
            foreach (array_diff_key($old, $new) as $id => $_) {
                $words[] = "$title \"$id\" taken out.";
            }
            foreach (array_intersect_key($new, $old) as $id => $entry) {
                $words = [...$words, ...self::figures("$title \"$id\"", (array) $old[$id], (array) $entry)];
            }
        }
        foreach (self::LISTS as $key => $title) {
            if (($before[$key] ?? []) !== ($after[$key] ?? [])) {
                $words[] = "$title changed.";
            }
        }

        return $words;
    }

    /**
     * Figures and words that differ, each with what it was.
     *
     * @param array<array-key, mixed> $old
     * @param array<array-key, mixed> $new
     * @return list<string>
     */
    private static function figures(string $what, array $old, array $new, string $path = ''): array
    {
        $words = [];
        foreach (array_keys($old + $new) as $key) {
            [$was, $is] = [$old[$key] ?? null, $new[$key] ?? null];
            if ($was === $is) {
                continue;
            }
            $name = trim("$path ".str_replace('_', ' ', (string) $key));
            if (is_array($was) && is_array($is)) {
                $words = [...$words, ...self::figures($what, $was, $is, $name)];
            } elseif (is_array($was) || is_array($is)) {
                $inner = (array) ($is ?? $was);
                $words[] =
                    count($inner) === 1 && ! is_array(reset($inner)) && $was === null
                        ? "$what: $name ".
                            str_replace('_', ' ', (string) array_key_first($inner)).
                            ' is now '.
                            self::said(reset($inner)).
                            '.'
                        : "$what: $name ".($is === null ? 'taken out.' : 'changed.');
            } else {
                $words[] =
                    "$what: $name ".
                    ($was === null
                        ? 'is now '.self::said($is)
                        : ($is === null
                            ? 'as usual again, no more '.self::said($was)
                            : 'was '.self::said($was).', is now '.self::said($is))).
                    '.';
            }
        }

        return $words;
    }

    private static function said(mixed $v): string
    {
        return is_bool($v) ? ($v ? 'yes' : 'no') : (is_scalar($v) ? (string) $v : (string) json_encode($v));
    }
}
