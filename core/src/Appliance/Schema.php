<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** The published JSON Schemas (2020-12) of core/schema, and what a reader is told when one is not met. */
final class Schema
{
    /**
     * @param array<string, mixed> $document
     *
     * @throws DocumentError at the deepest place that is at fault
     */
    public static function check(string $schema, array $document): void
    {
        $validator = new Validator();
        $result = $validator->validate(
            Helper::toJSON($document),
            (string) file_get_contents(__DIR__."/../../schema/$schema.json"),
        );
        $error = $result->error();
        if ($error === null) {
            return;
        }
        while ($error->subErrors() !== []) {
            $error = $error->subErrors()[0];
        }
        throw new DocumentError('/'.implode('/', $error->data()->fullPath()), self::sentence($error));
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
            default => ucfirst(strtr($error->message(), array_combine(
                array_map(fn ($k) => '{'.$k.'}', array_keys($args)),
                array_map(fn ($v) => is_scalar($v) ? (string) $v : (string) json_encode($v), $args),
            ) ?: [])).'.',
        };
    }
}
