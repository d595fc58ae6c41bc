<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Composition;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Ability\ComesAndGoes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;
use OddSpark\Words\Words;

/**
 * Edits of what is special about a part: its figures, what it is linked to, its sequence, a fault that comes and goes.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class FigureEdits extends OnParts
{
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
            'param' => $this->param($d, $e),
            'flaw' => $this->flaw($d, $e),
            'link' => $this->changed(
                $d,
                $e['part'],
                fn (array $part) => ['links' => [$e['name'] => $e['to']] + ($part['links'] ?? [])] + $part,
            ),
            default => $this->sequence($d, $e),
        };
    }

    /**
     * Which of the included appliances a part belongs to; null when it stands on the board itself, or nowhere.
     *
     * @param ModelDocument $d
     */
    private static function includeOf(array $d, string $part): ?int
    {
        foreach (in_array($part, array_column($d['parts'], 'id'), true) ? [] : $d['includes'] ?? [] as $i => $include) {
            if (str_starts_with($part, "{$include['id']}.")) {
                return $i;
            }
        }

        return null;
    }

    /**
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function param(array $d, array $e): array
    {
        $of = self::includeOf($d, $e['part']);
        $whole = $of === null ? $d : (new Composition($this->library))->expand($d);
        $spec =
            $this->kindOf($whole, $e['part'])['primitives'][$e['primitive']] ??
            throw new EditError('/primitive', Words::say('building.figure_edits.has_nothing_called', [
                'part' => $e['part'],
                'primitive' => $e['primitive'],
            ]));
        $value = $e['value'] ?? null;
        if (in_array($e['key'], ['type', 'between', 'table', 'inputs', 'follows', 'overrides'], true)) {
            throw new EditError('/key', Words::say('building.figure_edits.is_how_the_kind_is', [
                'key' => $e['key'],
            ]));
        }
        $usual = $spec[$e['key']] ?? null;
        if (
            $value !== null &&
            $usual !== null &&
            (is_int($usual) || is_float($usual)) !== (is_int($value) || is_float($value))
        ) {
            throw new EditError(
                '/value',
                "\"{$e['key']}\" ".(is_string($usual) ? Words::say('building.figure_edits.is_a_word') : Words::say(
                    'building.figure_edits.is_a_number',
                )),
            );
        }
        if (
            is_string($value) &&
            isset($spec['positions']) &&
            $e['key'] === 'at' &&
            ! in_array($value, $spec['positions'], true)
        ) {
            throw new EditError('/value', Words::say('building.figure_edits.must_be_one_of', [
                'positions' => implode(', ', $spec['positions']),
            ]));
        }

        foreach (
            is_int($value) || is_float($value)
                ? Parameters::of(Kind::of('', $this->kindOf($whole, $e['part'])), region: $d['supply']['region'])
                : [] as $p
        ) {
            if (
                $p['primitive'] === $e['primitive'] &&
                $p['key'] === $e['key'] &&
                $p['least'] !== null &&
                ($value < $p['least'] || $value > $p['most'])
            ) {
                throw new EditError(
                    '/value',
                    Words::say('building.figure_edits.from_to_usual_is', [
                        'label' => $p['label'],
                        'least' => sprintf('%g', $p['least']),
                        'most' => sprintf('%g', $p['most']),
                        'unit' => $p['unit'],
                        'usual' => $p['usual'],
                    ]),
                );
            }
        }

        if ($of !== null) {
            $within = substr($e['part'], strlen($d['includes'][$of]['id']) + 1);
            $params = &$d['includes'][$of]['params'][$within][$e['primitive']];
            $params[$e['key']] = $value;
            if ($value === null) {
                unset($params[$e['key']]);
            }

            return $d;
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
     * A fault that comes and goes, for a contact of a part and of all of its kind: until it is tapped, after so many
     * makings, or
     * after so long.
     *
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function flaw(array $d, array $e): array
    {
        $kind = $this->kindOf($d, $e['part']);
        $contacts = array_keys(Kind::of('', $kind)->those(ComesAndGoes::class));
        if (! in_array($e['contact'], $contacts, true)) {
            throw new EditError(
                '/contact',
                Words::say('building.figure_edits.has_no_contact_called_it', [
                    'part' => $e['part'],
                    'contact' => $e['contact'],
                    'words' => implode(', ', $contacts) ?: 'none',
                ]),
            );
        }
        if ($e['count'] < 1 || $e['count'] > 10000) {
            throw new EditError('/count', Words::say('building.figure_edits.from_1_to_10_000'));
        }
        $count = (int) $e['count'];
        $lasts = isset($e['for_s']) ? ['for_s' => max(1, (int) $e['for_s'])] : [];
        [$flaw, $words] = match ($e['by']) {
            'taps' => [['taps' => $count], Words::say('building.figure_edits.loose_closes_after', [
                'words' => $count === 1 ? Words::say(
                    'building.figure_edits.a_tap',
                ) : Words::say('building.figure_edits.taps', [
                    'count' => $count,
                ]),
            ])],
            'makes' => [['makes' => $count] + $lasts, Words::say('building.figure_edits.stays_open_after_makings', [
                'count' => $count,
            ])],
            default => [[
                'after_s' => $count,
            ] + ($lasts ?: ['for_s' => 60]), Words::say('building.figure_edits.opens_again_s_after_it', [
                'count' => $count,
            ])],
        };
        $mode = PartEdits::slug("{$e['contact']}-{$e['by']}-$count");
        $kind['modes'][$mode] = [
            'title' => str_replace('_', ' ', $e['contact'])." $words",
            'set' => ["{$e['contact']}.flaw" => $flaw],
            'weight' => (float) ($e['weight'] ?? 0.2),
            'repair' => $e['by'] === 'taps' ? 'set' : explode(',', $kind['title'])[0],
        ];
        $name = array_column($d['parts'], 'kind', 'id')[$e['part']];
        $d['kinds'] = [$name => $kind] + ($d['kinds'] ?? []);

        return $d;
    }

    /**
     * A line of the sequence table of one control.
     *
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function sequence(array $d, array $e): array
    {
        $spec = $this->kindOf($d, $e['part'])['primitives'][$e['primitive']] ?? null;
        if ($spec === null || ! Spec::of($e['primitive'], $spec)->can(Decides::class)) {
            throw new EditError('/primitive', Words::say('building.figure_edits.has_no_sequence_table_called', [
                'part' => $e['part'],
                'primitive' => $e['primitive'],
            ]));
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
     * @param PartDocument $part
     * @return PartDocument
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
}
