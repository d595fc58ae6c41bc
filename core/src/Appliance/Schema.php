<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** The published JSON Schemas (2020-12) of core/schema, and what a reader is told when one is not met. */
final class Schema
{
    /** Keys whose values are objects, never lists. */
    private const OBJECTS = ['percepts', 'primitives', 'terminals', 'modes', 'controls', 'links', 'params', 'process', 'kinds', 'resets', 'say', 'set', 'degrees', 'weights', 'wire_modes', 'visits', 'unlike', 'card', 'taps', 'legs', 'heat', 'air', 'hum', 'smell', 'cycle', 'ports', 'overrides', 'spares', 'inputs', 'states', 'times', 'remembers', 'if', 'count', 'timer', 'do'];

    /** What a model that is being made may still be without. */
    private const LATER = ['process', 'visits', 'household', 'tape', 'universe'];

    /**
     * @param array<string, mixed> $document
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
     * @param array<string, mixed> $document
     *
     * @throws DocumentError
     */
    public static function checkDraft(array $document): void
    {
        $schema = json_decode(self::text('model'), true);
        $schema['required'] = array_values(array_diff($schema['required'], self::LATER));
        unset($schema['$id'], $schema['properties']['parts']['minItems'], $schema['properties']['visits']['minProperties']);
        self::validate((string) json_encode($schema, JSON_PRESERVE_ZERO_FRACTION), $document);
    }

    private static function text(string $schema): string
    {
        return (string) file_get_contents(__DIR__."/../../schema/$schema.json");
    }

    /**
     * @param array<string, mixed> $document
     *
     * @throws DocumentError
     */
    private static function validate(string $schema, array $document): void
    {
        $error = (new Validator())->validate(Helper::toJSON(self::withObjects($document)), $schema)->error();
        if ($error === null) {
            return;
        }
        while ($error->subErrors() !== []) {
            $error = $error->subErrors()[0];
        }
        throw new DocumentError('/'.implode('/', $error->data()->fullPath()), self::sentence($error));
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
            'required' => 'Missing: '.implode(', ', $args['missing'] ?? []).'.',
            'additionalProperties' => 'Not known here: '.implode(', ', $args['properties'] ?? []).'.',
            'type' => 'Must be '.implode(' or ', (array) ($args['expected'] ?? [])).', not '.($args['type'] ?? 'that').'.',
            'enum' => 'Must be one of the values that the format lists.',
            'pattern' => 'Is not written as the format asks: '.($args['pattern'] ?? '').'.',
            'minimum', 'exclusiveMinimum' => 'Is too small: at least '.($args['min'] ?? '').'.',
            'maximum' => 'Is too large: at most '.($args['max'] ?? '').'.',
            'maxItems' => sprintf('Holds %d; at most %d are taken.', $args['count'] ?? 0, $args['max'] ?? 0),
            default => ucfirst(strtr($error->message(), array_combine(
                array_map(fn ($k) => '{'.$k.'}', array_keys($args)),
                array_map(fn ($v) => is_scalar($v) ? (string) $v : (string) json_encode($v), $args),
            ) ?: [])).'.',
        };
    }
}
