<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;
use OddSpark\Trade\Csv;
use OddSpark\Words\Words;

/**
 * The wires as a list for a spreadsheet, out and in: one a line, with where it goes from and to.
 *
 * Places are written as "part.terminal", or as a person says them: "Limit a". A list that has a mistake is refused
 * whole, with every line that is wrong.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final readonly class WireList
{
    public const COLUMNS = ['id', 'from', 'to', 'colour', 'awg', 'feet', 'mm2', 'metres', 'tag', 'cable'];

    private const MOST = 2000;

    private const TOLD = 12;

    public function __construct(private Library $library) {}

    /** @param ModelDocument $d a document */
    public static function csv(array $d): string
    {
        $row = fn (array $wire): array => array_map(fn (string $c) => (string) ($wire[$c] ?? ''), self::COLUMNS);

        return Csv::write([self::COLUMNS, ...array_map($row, array_values($d['wires']))]);
    }

    /**
     * The document with the wires of a list; a wire whose id is there already is changed, the others are new.
     *
     * @param ModelDocument $d
     * @return ModelDocument
     *
     * @throws EditError with every line that is wrong
     */
    public function into(array $d, string $csv): array
    {
        $rows = self::rows($csv);
        $places = $this->places($d);
        $colours = Schema::wireColours();
        $wrong = [];
        $known = array_column($d['wires'], null, 'id');
        $new = [];
        foreach ($rows as $line => $row) {
            $say = function (string $what) use (&$wrong, $line): void {
                $wrong[] = Words::say('building.wire_list.line', ['line' => $line, 'what' => $what]);
            };
            $wire = [];
            foreach (['from', 'to'] as $end) {
                $place = $places[mb_strtolower(trim($row[$end] ?? ''))] ?? null;
                $place === null
                    ? $say(
                        ($row[$end] ?? '') === '' ? Words::say('building.wire_list.is_empty', [
                            'end' => $end,
                        ]) : Words::say('building.wire_list.there_is_no_place_called', [
                            'row' => $row[$end],
                        ]),
                    )
                    : ($wire[$end] = $place);
            }
            $colour = mb_strtolower(trim($row['colour'] ?? ''));
            $colour === '' || in_array($colour, $colours, true)
                ? null
                : $say(Words::say('building.wire_list.is_not_a_known_wire', [
                    'colour' => $colour,
                    'colours' => implode(', ', $colours),
                ]));
            foreach (['awg', 'feet', 'mm2', 'metres'] as $figure) {
                $text = trim($row[$figure] ?? '');
                if ($text === '') {
                    continue;
                }
                if (! is_numeric($text) || (float) $text <= 0) {
                    $say(Words::say('building.wire_list.must_be_a_number_above', [
                        'figure' => $figure,
                        'text' => $text,
                    ]));
                } else {
                    $wire[$figure] = $figure === 'awg' ? (int) $text : (float) $text;
                }
            }
            foreach (['tag', 'id', 'cable'] as $word) {
                if (trim($row[$word] ?? '') !== '') {
                    $wire[$word] = trim($row[$word]);
                }
            }
            if (isset($wire['id']) && preg_match('/^[a-z0-9][a-z0-9.-]*$/', $wire['id']) !== 1) {
                $say(Words::say('building.wire_list.cannot_be_a_wire_s', ['id' => $wire['id']]));
            }
            $new[] = $wire + ($colour === '' ? [] : ['colour' => $colour]);
        }
        if ($wrong !== []) {
            $more = count($wrong) - self::TOLD;
            throw new EditError(
                '/csv',
                Words::say('building.wire_list.nothing_was_imported', [
                    'wrong' => ucfirst(implode('; ', array_slice($wrong, 0, self::TOLD))),
                    'words' => $more > 0 ? Words::say('building.wire_list.and_more', ['more' => $more]) : '',
                ]),
            );
        }
        $edits = new WireEdits($this->library);
        foreach ($new as $wire) {
            $cable = $wire['cable'] ?? null;
            unset($wire['cable']);
            if (isset($wire['id'], $known[$wire['id']])) {
                $d = $edits->apply(
                    $d,
                    ['do' => 'rewire', 'wire' => $wire['id']] +
                        array_diff_key($wire, ['id' => 1, 'from' => 1, 'to' => 1]),
                );
                foreach (['a' => 'from', 'b' => 'to'] as $end => $key) {
                    if ($known[$wire['id']][$key] !== $wire[$key]) {
                        $d = $edits->apply($d, [
                            'do' => 'land',
                            'wire' => $wire['id'],
                            'end' => $end,
                            'on' => $wire[$key],
                        ]);
                    }
                }
            } else {
                $wire['id'] ??= WireEdits::next($d);
                $d = $edits->apply($d, ['do' => 'wire'] + $wire);
            }
            if ($cable !== null && $cable !== ($known[$wire['id']]['cable'] ?? null)) {
                $d = $edits->apply($d, ['do' => 'cable', 'id' => $cable, 'wires' => [$wire['id']]]);
            }
        }

        return $d;
    }

    /** @return array<int, array<string, string>> by the line that each begins on */
    private static function rows(string $csv): array
    {
        try {
            return Csv::named($csv, self::COLUMNS, ['from', 'to'], self::MOST, 'wires');
        } catch (\InvalidArgumentException $e) {
            throw new EditError('/csv', $e->getMessage());
        }
    }

    /**
     * Places by what they are called, in small letters: by id, and by the label of the part where that is one part's
     * alone.
     *
     * @param ModelDocument $d
     * @return array<string, string>
     */
    private function places(array $d): array
    {
        $model = $this->library->draft($d);
        $places = $spoken = [];
        foreach ($model->document['parts'] as $part) {
            foreach (array_keys($model->document['kinds'][$part['kind']]['terminals']) as $terminal) {
                $places[mb_strtolower("{$part['id']}.$terminal")] = "{$part['id']}.$terminal";
                $spoken[mb_strtolower("{$part['label']} $terminal")][] = "{$part['id']}.$terminal";
            }
        }
        foreach ($d['includes'] ?? [] as $include) {
            foreach (array_keys($this->library->document($include['model'])['ports'] ?? []) as $port) {
                $places[mb_strtolower("{$include['id']}.$port")] = "{$include['id']}.$port";
            }
        }

        return $places + array_map(fn (array $at) => $at[0], array_filter($spoken, fn (array $at) => count($at) === 1));
    }
}
