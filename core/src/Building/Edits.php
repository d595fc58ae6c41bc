<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Removal;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * What can be done to a model that is being made. An edit is plain data, {"do": name, …}; it gives a new document or
 * is refused, and changes nothing then.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class Edits
{
    /** What each takes: "?" may be left out. */
    public const EDITS = [
        'place' => ['kind' => 'text', 'at' => 'point', 'label' => 'text?', 'id' => 'text?', 'own' => 'map?'],
        'move' => ['parts' => 'texts', 'by' => 'point'],
        'align' => ['parts' => 'texts', 'edge' => 'left|right|top|bottom|middle|centre'],
        'copy' => ['parts' => 'texts', 'by' => 'point?'],
        'remove' => ['parts' => 'texts?', 'wires' => 'texts?'],
        'label' => ['part' => 'text', 'label' => 'text'],
        'stock' => ['part' => 'text', 'in' => 'van|appliance'],
        'group' => ['parts' => 'texts'],
        'ungroup' => ['parts' => 'texts'],
        'param' => ['part' => 'text', 'primitive' => 'text', 'key' => 'text', 'value' => 'any?'],
        'flaw' => [
            'part' => 'text',
            'contact' => 'text',
            'by' => 'taps|makes|after',
            'count' => 'number',
            'for_s' => 'number?',
            'weight' => 'number?',
        ],
        'link' => ['part' => 'text', 'name' => 'text', 'to' => 'text'],
        'sequence' => ['part' => 'text', 'primitive' => 'text', 'line' => 'text', 'value' => 'any?'],
        'wire' => ['from' => 'text', 'to' => 'text', 'id' => 'text?'] + self::WIRE,
        'rewire' => ['wire' => 'text'] + self::WIRE,
        'land' => ['wire' => 'text', 'end' => 'a|b', 'on' => 'text'],
        'route' => ['wire' => 'text', 'via' => 'points?'],
        'cable' => ['id' => 'text', 'wires' => 'texts', 'feet' => 'number?', 'run' => 'hidden|open?'],
        'wire_list' => ['csv' => 'text'],
        'pipe' => ['from' => 'text', 'to' => 'text', 'id' => 'text?'],
        'include' => ['model' => 'text', 'id' => 'text', 'by' => 'point?', 'without' => 'texts?', 'keep' => 'any?'],
        'renew' => ['id' => 'text'],
        'like' => ['model' => 'text'],
        'set' => ['path' => 'text', 'value' => 'any?'],
    ];

    /** Letters of a text: a wire list of the largest board is the longest. */
    private const LONGEST = 400_000;

    private const MOST = 2000;

    private const MOST_BENDS = 20;

    private const WIRE = [
        'colour' => 'text?',
        'awg' => 'number?',
        'feet' => 'number?',
        'mm2' => 'number?',
        'metres' => 'number?',
        'tag' => 'text?',
        'modes' => 'texts?',
        'near' => 'text?',
    ];

    private PartEdits $parts;

    private FigureEdits $figures;

    private WireEdits $wires;

    private PipeEdits $pipes;

    private SectionEdits $sections;

    public function __construct(private Library $library)
    {
        $this->parts = new PartEdits($library);
        $this->figures = new FigureEdits($library);
        $this->wires = new WireEdits($library);
        $this->pipes = new PipeEdits($library);
        $this->sections = new SectionEdits($library);
    }

    /**
     * @param ModelDocument $document
     * @param Edit $edit
     * @return ModelDocument the document after it
     *
     * @throws EditError
     */
    public function apply(array $document, array $edit): array
    {
        $name = $edit['do'] ?? null;
        if (! is_string($name) || ! isset(self::EDITS[$name])) {
            throw new EditError('/do', Words::say('building.edits.there_is_no_such_edit', [
                'edits' => implode(', ', array_keys(self::EDITS)),
            ]));
        }
        self::check($name, $edit);
        try {
            $after = match ($name) {
                'wire', 'rewire', 'land', 'route', 'cable', 'wire_list' => $this->wires->apply($document, $edit),
                'pipe' => $this->pipes->apply($document, $edit),
                'set', 'like', 'include', 'renew' => $this->sections->apply($document, $edit),
                'param', 'link', 'sequence', 'flaw' => $this->figures->apply($document, $edit),
                'remove' => self::without($document, $edit['parts'] ?? [], $edit['wires'] ?? []),
                default => $this->parts->apply($document, $edit),
            };
            $after = Removal::beside($document, $after);
            Schema::checkChange($document, $after);
            $this->library->draft($after);
        } catch (DocumentError $e) {
            throw new EditError($e->pointer, $e->getMessage());
        }

        return $after;
    }

    /**
     * @param ModelDocument $d
     * @param list<string> $parts parts, or what is included
     * @param list<string> $wires wires and pipes
     * @return ModelDocument
     *
     * @throws EditError when something of that is not there
     */
    private static function without(array $d, array $parts, array $wires): array
    {
        $known = array_fill_keys(
            [...array_column($d['parts'], 'id'), ...array_column($d['includes'] ?? [], 'id')],
            true,
        );
        foreach ($parts as $id) {
            isset($known[$id]) ||
                throw new EditError(
                    '/parts',
                    isset($known[explode('.', $id)[0]])
                        ? Words::say('building.edits.belongs_to_which_is_included', [
                            'id' => $id,
                            'what' => explode('.', $id)[0],
                        ])
                        : Words::say('building.edits.there_is_no_part_called', ['id' => $id]),
                );
        }
        foreach (array_diff($wires, array_column($d['wires'], 'id'), array_column($d['pipes'] ?? [], 'id')) as $id) {
            throw new EditError('/wires', Words::say('building.edits.there_is_no_wire_or', ['id' => $id]));
        }

        return Removal::from($d, $parts, $wires);
    }

    /** @return array<string, mixed> JSON Schema of an edit, each with its fields */
    public static function schema(): array
    {
        $point = ['type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number']];
        $name = ['type' => 'string', 'minLength' => 1, 'maxLength' => self::LONGEST];
        $of = fn (string $type): array|object => match ($type) {
            'text' => $name,
            'texts' => ['type' => 'array', 'minItems' => 1, 'maxItems' => self::MOST, 'items' => $name],
            'point' => $point,
            'points' => ['type' => 'array', 'maxItems' => self::MOST_BENDS, 'items' => $point],
            'number' => ['type' => 'number'],
            'map' => ['type' => 'object'],
            'any' => (object) [],
            default => ['enum' => explode('|', $type)],
        };
        $each = [];
        foreach (self::EDITS as $do => $fields) {
            $each[] = [
                'type' => 'object',
                'required' => [
                    'do',
                    ...array_keys(array_filter($fields, fn (string $t): bool => ! str_ends_with($t, '?'))),
                ],
                'properties' => ['do' => ['const' => $do]] + array_map(
                    fn (string $t): array|object => $of(rtrim($t, '?')),
                    $fields,
                ),
                'additionalProperties' => false,
            ];
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => Words::say('building.edits.odd_spark_edit_of_a'),
            'oneOf' => $each,
        ];
    }

    /** @param Edit $edit */
    private static function check(string $name, array $edit): void
    {
        foreach (self::EDITS[$name] as $field => $type) {
            $value = $edit[$field] ?? null;
            if ($value === null && str_ends_with($type, '?')) {
                continue;
            }
            $texts = fn (mixed $v): bool => is_array($v) &&
                array_is_list($v) &&
                $v !== [] &&
                count($v) <= self::MOST &&
                array_filter($v, fn ($x) => ! is_string($x)) === [];
            $point = fn (mixed $v): bool => is_array($v) &&
                array_is_list($v) &&
                count($v) === 2 &&
                array_filter($v, fn ($x) => (! is_int($x) && ! is_float($x)) || abs($x) > 10000) === [];
            $fine = match (rtrim($type, '?')) {
                'text' => is_string($value) && $value !== '' && strlen($value) <= self::LONGEST,
                'texts' => $texts($value),
                'point' => $point($value),
                'points' => is_array($value) &&
                    array_is_list($value) &&
                    count($value) <= self::MOST_BENDS &&
                    array_filter($value, fn ($p) => ! $point($p)) === [],
                'number' => (is_int($value) || is_float($value)) && is_finite((float) $value),
                'map' => is_array($value),
                'any' => true,
                default => in_array($value, explode('|', $type), true),
            };
            if (! $fine) {
                throw new EditError(
                    "/$field",
                    Words::say('building.edits.needs', [
                        'name' => $name,
                        'words' => match (rtrim($type, '?')) {
                            'text' => "a $field.",
                            'texts' => Words::say('building.edits.one_name_or_more', ['field' => $field]),
                            'point' => Words::say('building.edits.as_two_numbers_x_and', ['field' => $field]),
                            'points' => Words::say('building.edits.as_a_list_of_points', ['field' => $field]),
                            'number' => Words::say('building.edits.a_number_for', ['field' => $field]),
                            'map' => Words::say('building.edits.as_an_object', ['field' => $field]),
                            default => Words::say('building.edits.to_be_one_of', [
                                'field' => $field,
                                'what' => str_replace('|', ', ', $type),
                            ]),
                        },
                    ]),
                );
            }
        }
        $unknown = array_diff(array_keys($edit), array_keys(self::EDITS[$name]), ['do']);
        if ($unknown !== []) {
            throw new EditError('/'.reset($unknown), Words::say('building.edits.takes_no', [
                'name' => $name,
                'unknown' => reset($unknown),
            ]));
        }
    }
}
