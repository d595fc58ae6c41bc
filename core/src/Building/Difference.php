<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * What differs between two documents of a model, in words.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Difference
{
    /** Sections that are told entry by entry. */
    private const SECTIONS = [
        'process',
        'percepts',
        'taps',
        'visits',
        'weights',
        'kinds',
    ];

    private const LISTS = [
        'joined',
        'cables',
        'views',
        'doors',
        'tape',
        'groups',
        'household',
        'as_built',
        'compounds',
        'found',
        'includes',
        'universe',
        'supply',
        'ports',
        'board',
        'notes',
        'about',
        'jobs',
        'plate',
        'readings',
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
            $words[] = Words::say('building.difference.title_is_now', [
                'title' => $before['title'],
                'title_2' => $after['title'],
            ]);
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
            $words[] = Words::say('building.difference.placed', ['label' => $part['label']]);
        }
        foreach (array_diff_key($old, $new) as $part) {
            $words[] = Words::say('building.difference.taken_off', ['label' => $part['label']]);
        }
        foreach (array_intersect_key($new, $old) as $id => $part) {
            $was = $old[$id];
            if ($was['label'] !== $part['label']) {
                $words[] = Words::say('building.difference.is_now_called', [
                    'label' => $was['label'],
                    'label_2' => $part['label'],
                ]);
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
            $words[] = count($moved) > 3 ? Words::say('building.difference.parts_moved', [
                'moved' => count($moved),
            ]) : Words::say('building.difference.moved', [
                'moved' => implode(' and ', $moved),
            ]);
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
        $name = fn (array $w): string => Words::say('building.difference.wire_to', [
            'colour' => $w['colour'],
            'from' => $place($w['from']),
            'to' => $place($w['to']),
        ]);
        $words = [];
        foreach (array_diff_key($new, $old) as $wire) {
            $words[] = Words::say('building.difference.drawn', ['wire' => ucfirst($name($wire))]);
        }
        foreach (array_diff_key($old, $new) as $wire) {
            $words[] = Words::say('building.difference.taken_off_2', ['wire' => ucfirst($name($wire))]);
        }
        foreach (array_intersect_key($new, $old) as $id => $wire) {
            $was = $old[$id];
            foreach (['from', 'to'] as $end) {
                if ($was[$end] !== $wire[$end]) {
                    $words[] =
                        Words::say('building.difference.its_end_at_is_now', [
                            'was' => ucfirst($name($was)),
                            'was_2' => $place($was[$end]),
                            'wire' => $place($wire[$end]),
                        ]);
                }
            }
            if (($was['via'] ?? null) !== ($wire['via'] ?? null)) {
                $words[] = Words::say('building.difference.led', [
                    'wire' => ucfirst($name($wire)),
                    'words' => isset($wire['via'])
                        ? Words::say('building.difference.by_hand')
                        : Words::say('building.difference.by_rule_again'),
                ]);
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
        $name = fn (array $pipe): string => Words::say('building.difference.pipe_from_to', [
            'place' => self::place($pipe['from'], $labels),
            'place_2' => self::place($pipe['to'], $labels),
        ]);
        $words = [];
        foreach (array_diff_key($new, $old) as $pipe) {
            $words[] = Words::say('building.difference.joined', ['pipe' => $name($pipe)]);
        }
        foreach (array_diff_key($old, $new) as $pipe) {
            $words[] = Words::say('building.difference.removed', ['pipe' => $name($pipe)]);
        }
        foreach (array_intersect_key($new, $old) as $id => $pipe) {
            if ([$pipe['from'], $pipe['to']] !== [$old[$id]['from'], $old[$id]['to']]) {
                $words[] = Words::say('building.difference.is_now', [
                    'old' => $name($old[$id]),
                    'pipe' => $name($pipe),
                ]);
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
        foreach (Words::each('building.difference.section', self::SECTIONS) as $key => $title) {
            [$old, $new] = [$before[$key] ?? [], $after[$key] ?? []];
            foreach (array_diff_key($new, $old) as $id => $_) {
                $words[] = "$title \"$id\" added.";
            }
            foreach (array_diff_key($old, $new) as $id => $_) {
                $words[] = Words::say('building.difference.taken_out', ['title' => $title, 'id' => $id]);
            }
            foreach (array_intersect_key($new, $old) as $id => $entry) {
                $words = [...$words, ...self::figures("$title \"$id\"", (array) $old[$id], (array) $entry)];
            }
        }
        foreach (Words::each('building.difference.list', self::LISTS) as $key => $title) {
            if (($before[$key] ?? []) !== ($after[$key] ?? [])) {
                $words[] = Words::say('building.difference.changed', ['title' => $title]);
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
                        ? Words::say('building.difference.is_now_2', [
                            'what' => $what,
                            'name' => $name,
                            'what_2' => str_replace('_', ' ', (string) array_key_first($inner)),
                            'said' => self::said(reset($inner)),
                        ])
                        : "$what: $name ".($is === null ? Words::say('building.difference.taken_out_2') : 'changed.');
            } else {
                $words[] =
                    "$what: $name ".
                    ($was === null
                        ? Words::say('building.difference.is_now_3', ['said' => self::said($is)])
                        : ($is === null
                            ? Words::say('building.difference.as_usual_again_no_more', ['said' => self::said($was)])
                            : Words::say('building.difference.was_is_now', [
                                'said' => self::said($was),
                                'said_2' => self::said($is),
                            ]))).
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
