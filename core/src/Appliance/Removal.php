<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * Parts, wires and what is included, taken off a board, or left out of an appliance within another, with all that
 * speaks of them.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 */
final readonly class Removal
{
    /**
     * Takes parts and wires off, and with them all that speaks of them.
     *
     * @param ModelDocument $d
     * @param list<string> $parts parts, or what is included
     * @param list<string> $wires wires and pipes
     * @return ModelDocument
     */
    public static function from(array $d, array $parts, array $wires): array
    {
        $before = $d;
        $gone = array_fill_keys($parts, true);
        $isGone = fn (string $id): bool => isset($gone[$id]) ||
            (isset($gone[explode('.', $id)[0]]) && ! in_array($id, array_column($d['parts'], 'id'), true));
        $at = fn (string $place): bool => $isGone(Model::split($place)[0]);
        $lost = fn (array $w): bool => in_array($w['id'], $wires, true) || $at($w['from']) || $at($w['to']);
        $dead = array_fill_keys(array_column(array_filter($d['wires'], $lost), 'id'), true);
        $of = fn (string $id): bool => $isGone($id) || isset($dead[$id]);
        $keep = fn (string $key, callable $bad) => isset($d[$key])
            ? array_values(array_filter($d[$key], fn (array $x) => ! $bad($x)))
            : null;
        foreach (
            array_filter(
                [
                    'parts' => $keep('parts', fn (array $p) => $isGone($p['id'])),
                    'includes' => $keep('includes', fn (array $i) => isset($gone[$i['id']])),
                    'wires' => $keep('wires', $lost),
                    'pipes' => $keep('pipes', $lost),
                    'joined' => isset($d['joined'])
                        ? array_values(
                            array_filter(
                                array_map(
                                    fn (array $g) => array_values(array_filter($g, fn (string $p) => ! $at($p))),
                                    $d['joined'],
                                ),
                                fn (array $g) => count($g) > 1,
                            ),
                        )
                        : null,
                    'groups' => isset($d['groups']) ? self::sets($d['groups'], $isGone) : null,
                    'views' => isset($d['views']) ? self::sets($d['views'], $isGone) : null,
                    'found' => $keep(
                        'found',
                        fn (array $f) => array_filter(
                            [
                                $f['part'],
                                ...array_map(
                                    fn (string $p) => Model::split($p)[0],
                                    $f['jumper'] ?? ($f['swapped'] ?? [$f['end'], $f['on']]),
                                ),
                            ],
                            $of,
                        ) !== [],
                    ),
                    'as_built' => $keep(
                        'as_built',
                        fn (array $b) => $of($b['wire'] ?? Model::split($b['end'])[0]) ||
                            (isset($b['on']) && $at($b['on'])),
                    ),
                    'compounds' => $keep(
                        'compounds',
                        fn (array $c) => array_filter($c['faults'], fn (string $f) => $of(explode(':', $f)[0])) !== [],
                    ),
                ],
                fn ($v) => $v !== null,
            ) as $key => $value
        ) {
            $d[$key] = $value;
        }
        foreach (['taps' => 'part', 'percepts' => 'part'] as $key => $field) {
            if (isset($d[$key])) {
                $d[$key] = array_filter($d[$key], fn (array $x) => ! isset($x[$field]) || ! $isGone($x[$field]));
            }
        }
        if (isset($d['weights'])) {
            $d['weights'] = array_filter(
                $d['weights'],
                fn (string|int $fault) => ! $of(explode(':', (string) $fault)[0]),
                ARRAY_FILTER_USE_KEY,
            );
        }
        foreach ($d['wires'] as $i => $wire) {
            if (isset($wire['near']) && $at($wire['near'])) {
                unset($d['wires'][$i]['near']);
            }
        }
        if (isset($d['plate']) && $isGone($d['plate']['part'])) {
            unset($d['plate']);
        }
        foreach ($d['doors'] ?? [] as $i => $door) {
            $d['doors'][$i]['covers'] = array_values(array_filter($door['covers'], fn (string $id) => ! $isGone($id)));
            if (isset($door['through'])) {
                $d['doors'][$i]['through'] = array_values(array_filter($door['through'], fn (string $l) => ! $at($l)));
            }
            if (isset($door['sight_glass'])) {
                $d['doors'][$i]['sight_glass'] = array_values(
                    array_filter($door['sight_glass'], fn (string $c) => ! $at($c)),
                );
            }
            if (isset($door['interlock']) && $at($door['interlock'])) {
                unset($d['doors'][$i]['interlock']);
            }
        }
        foreach ($d['visits'] ?? [] as $id => $visit) {
            $d['visits'][$id]['household'] = array_values(
                array_filter($visit['household'], fn (array $step) => ! $isGone($step['part'] ?? $step['reset'] ?? '')),
            );
        }
        if (isset($d['ports'])) {
            $d['ports'] = array_filter($d['ports'], fn (array $port): bool => ! $at($port['at']));
        }
        $d = self::unheard($d, $isGone);
        $used = array_column($d['wires'], 'cable');
        if (isset($d['cables'])) {
            $d['cables'] = array_values(array_filter($d['cables'], fn (array $c) => in_array($c['id'], $used, true)));
        }

        return self::beside($before, $d);
    }

    /**
     * After a change of wires: what lay against a conductor of its cable, and does no longer, lies against nothing.
     *
     * @param ModelDocument $before
     * @param ModelDocument $d
     * @return ModelDocument
     */
    public static function beside(array $before, array $d): array
    {
        $lay = [];
        foreach ($before['wires'] as $wire) {
            if (isset($wire['near']) && self::hasBeside($before['wires'], $wire)) {
                $lay[$wire['id']] = $wire['near'];
            }
        }
        foreach ($lay === [] ? [] : $d['wires'] as $i => $wire) {
            if (isset($wire['near']) && $wire['near'] === ($lay[$wire['id']] ?? null) &&
                ! self::hasBeside($d['wires'], $wire)) {
                unset($d['wires'][$i]['near']);
            }
        }

        return $d;
    }

    /**
     * Whether another conductor of its cable ends where a wire can touch something.
     *
     * @param list<WireDocument> $wires
     * @param WireDocument $wire
     */
    public static function hasBeside(array $wires, array $wire): bool
    {
        return array_filter(
            $wires,
            fn (array $w) => isset($wire['cable'], $wire['near']) &&
                ($w['cable'] ?? null) === $wire['cable'] &&
                $w['id'] !== $wire['id'] &&
                in_array($wire['near'], [$w['from'], $w['to']], true),
        ) !== [];
    }

    /**
     * Without what nobody sees or hears any more: lanes of the tape, what a visit waits for, what a household notices.
     *
     * @param ModelDocument $d
     * @param callable(string): bool $isGone
     * @return ModelDocument
     */
    private static function unheard(array $d, callable $isGone): array
    {
        $isLost = fn (string|int $channel): bool => str_contains((string) $channel, '.') &&
            $isGone(Model::split((string) $channel)[0]);
        if (isset($d['tape'])) {
            $d['tape'] = array_values(array_filter($d['tape'], fn (array $lane): bool => ! $isLost($lane['channel'])));
        }
        foreach ($d['visits'] ?? [] as $id => $visit) {
            $unlike = $visit['arrives']['unlike'] ?? null;
            $left = array_filter($unlike ?? [], fn (string|int $c): bool => ! $isLost($c), ARRAY_FILTER_USE_KEY);
            if ($unlike !== null && $left === []) {
                unset($d['visits'][$id]['arrives']['unlike'], $d['visits'][$id]['arrives']['at_most_s']);
            } elseif ($unlike !== null) {
                $d['visits'][$id]['arrives']['unlike'] = $left;
            }
        }
        foreach (['heat', 'cool', 'cycle', 'air', 'hum', 'smell', 'fumes'] as $what) {
            if (isset($d['household'][$what])) {
                $d['household'][$what] = array_filter(
                    $d['household'][$what],
                    fn (string|int $c): bool => ! $isLost($c),
                    ARRAY_FILTER_USE_KEY,
                );
            }
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
        $without = fn (array $set): array => array_values(array_filter($set, fn (string $id) => ! $isGone($id)));

        return array_values(
            array_filter(
                array_map($without, $sets),
                fn (array $set) => count($set) > 1,
            ),
        );
    }
}
