<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/**
 * The published JSON Schemas (2020-12) of core/schema, and what a reader is told when one is not met.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Schema
{
    /** Keys whose values are objects, never lists. */
    private const OBJECTS = [
        'percepts',
        'primitives',
        'terminals',
        'modes',
        'controls',
        'links',
        'params',
        'process',
        'kinds',
        'resets',
        'say',
        'set',
        'degrees',
        'weights',
        'wire_modes',
        'visits',
        'unlike',
        'card',
        'taps',
        'legs',
        'heat',
        'cool',
        'air',
        'hum',
        'smell',
        'cycle',
        'ports',
        'overrides',
        'spares',
        'cleaned',
        'inputs',
        'states',
        'times',
        'remembers',
        'if',
        'count',
        'timer',
        'do',
    ];

    private const LONGEST_TEXT = 4000;

    private const LONGEST_NAME = 200;

    /** Parts and wires at most, as the schema has it. */
    private const MOST = ['parts' => 1000, 'wires' => 2000, 'pipes' => 1000];

    /**
     * @param ModelDocument $document
     *
     * @throws DocumentError at the deepest place that is at fault
     */
    public static function check(string $schema, array $document): void
    {
        self::validate(self::text($schema), $document);
    }

    /**
     * A model that is being made: what is there is as the format asks; what is missing may come.
     *
     * @param ModelDocument $document
     *
     * @throws DocumentError
     */
    public static function checkDraft(array $document): void
    {
        $schema = json_decode(self::text('model'), true);
        unset(
            $schema['$id'],
            $schema['properties']['parts']['minItems'],
        );
        self::validate((string) json_encode($schema, JSON_PRESERVE_ZERO_FRACTION), $document);
    }

    /**
     * A model that is being made, after a change: what is new in it is as the format asks. What was there is not looked
     * at
     * again, so that a change of a large model costs little.
     *
     * @param ModelDocument $before
     * @param ModelDocument $after
     *
     * @throws DocumentError
     */
    public static function checkChange(array $before, array $after): void
    {
        $changed = array_filter(
            $after,
            fn (mixed $v, string $key) => ! array_key_exists($key, $before) || $before[$key] !== $v,
            ARRAY_FILTER_USE_BOTH,
        );
        $places = [];
        foreach (['parts', 'wires', 'pipes'] as $list) {
            if (! is_array($changed[$list] ?? null)) {
                continue;
            }
            $stood = array_column($before[$list] ?? [], null, 'id');
            $places[$list] = array_keys(
                array_filter(
                    $changed[$list],
                    fn (mixed $item) => ! is_array($item) ||
                        ! is_string($item['id'] ?? null) ||
                        ($stood[$item['id']] ?? null) !== $item,
                ),
            );
            if (count($changed[$list]) <= self::MOST[$list]) {
                // else it is said of the whole list
                $changed[$list] = array_values(array_intersect_key($changed[$list], array_flip($places[$list])));
            }
        }
        if ($changed === []) {
            return;
        }
        $schema = json_decode(self::text('model'), true);
        $schema['required'] = [];
        unset(
            $schema['$id'],
            $schema['properties']['parts']['minItems'],
        );
        try {
            self::validate((string) json_encode($schema, JSON_PRESERVE_ZERO_FRACTION), $changed);
        } catch (DocumentError $e) {
            // as it is numbered in the whole document
            throw new DocumentError(
                (string) preg_replace_callback(
                    '#^/(parts|wires|pipes)/(\d+)#',
                    fn (array $m) => "/$m[1]/".($places[$m[1]][(int) $m[2]] ?? $m[2]),
                    $e->pointer,
                ),
                $e->sentence,
            );
        }
    }

    /** @return list<string> the colours a wire can have, by the trade's words */
    public static function wireColours(): array
    {
        return json_decode(self::text('model'), true)['$defs']['wire']['properties']['colour']['enum'];
    }

    public static function text(string $schema): string
    {
        return (string) file_get_contents(__DIR__."/../../schema/$schema.json");
    }

    /**
     * @param ModelDocument $document
     *
     * @throws DocumentError
     */
    private static function validate(string $schema, array $document): void
    {
        self::lengths($document, '');
        $fault = self::fault($schema, Helper::toJSON(self::withObjects($document)));
        if ($fault !== null) {
            throw $fault;
        }
    }

    /**
     * What is wrong with a value by a JSON Schema, at the deepest place that is at fault; null when nothing is.
     *
     * @param string $schema its text
     * @param mixed $value as json_decode gives it, objects as objects
     */
    public static function fault(string $schema, mixed $value): ?DocumentError
    {
        $error = (new Validator())->validate($value, $schema)->error();
        while (($error?->subErrors() ?? []) !== []) {
            $error = $error->subErrors()[0];
        }

        return $error === null
            ? null
            : new DocumentError('/'.implode('/', $error->data()->fullPath()), self::sentence($error));
    }

    /**
     * No text of a document is longer than a page, no name in it longer than a line: so no sentence about it is either.
     *
     * @param array<array-key, mixed> $value
     *
     * @throws DocumentError
     */
    private static function lengths(array $value, string $pointer): void
    {
        foreach ($value as $key => $v) {
            if (strlen((string) $key) > self::LONGEST_NAME) {
                throw new DocumentError($pointer, Words::say('appliance.schema.a_name_here_is_longer', [
                    'longest_name' => self::LONGEST_NAME,
                ]));
            }
            if (is_array($v)) {
                self::lengths($v, "$pointer/$key");
            } elseif (is_string($v) && strlen($v) > self::LONGEST_TEXT) {
                throw new DocumentError(
                    "$pointer/$key",
                    Words::say('appliance.schema.is_letters_long_at_most', [
                        'v' => strlen($v),
                        'longest_text' => self::LONGEST_TEXT,
                    ]),
                );
            }
        }
    }

    /**
     * An empty object read from JSON is an empty array in PHP; where the formats mean an object it
     * is made one again.
     *
     * @param array<array-key, mixed> $value
     * @return array<array-key, mixed>
     */
    public static function withObjects(array $value): array
    {
        foreach ($value as $key => $v) {
            if ($v === [] && in_array($key, self::OBJECTS, true)) {
                $value[$key] = new \stdClass();
            } elseif (is_array($v)) {
                $value[$key] = self::withObjects($v);
            }
        }

        return $value;
    }

    private static function sentence(ValidationError $error): string
    {
        $args = $error->args();

        return match ($error->keyword()) {
            'minItems' => Words::say('appliance.schema.there_is_nothing_here_yet'),
            'required' => Words::say('appliance.schema.missing', [
                'missing' => implode(', ', $args['missing'] ?? []),
            ]),
            'additionalProperties' => Words::say('appliance.schema.not_known_here', [
                'properties' => implode(', ', $args['properties'] ?? []),
            ]),
            'type' => Words::say('appliance.schema.must_be_not', [
                'expected' => implode(' or ', (array) ($args['expected'] ?? [])),
                'type' => $args['type'] ?? 'that',
            ]),
            'enum' => Words::say('appliance.schema.must_be_one_of_the'),
            'pattern' => Words::say('appliance.schema.is_not_written_as_the', [
                'pattern' => $args['pattern'] ?? '',
            ]),
            'minimum', 'exclusiveMinimum' => Words::say('appliance.schema.is_too_small_at_least', [
                'min' => $args['min'] ?? '',
            ]),
            'maximum' => Words::say('appliance.schema.is_too_large_at_most', ['max' => $args['max'] ?? '']),
            'maxItems' => Words::say('appliance.schema.holds_at_most_are_taken', [
                'count' => $args['count'] ?? 0,
                'max' => $args['max'] ?? 0,
            ]),
            default => ucfirst(strtr($error->message(), array_combine(
                array_map(fn ($k) => '{'.$k.'}', array_keys($args)),
                array_map(fn ($v) => is_scalar($v) ? (string) $v : (string) json_encode($v), $args),
            ) ?: [])).'.',
        };
    }
}
