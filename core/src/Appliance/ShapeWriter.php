<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * The shapes of documents for static analysis, written from the published schemas, so that code which reads or writes
 * a document is checked against what the document may hold.
 *
 * @phpstan-type JsonSchema array<string, mixed>
 */
final readonly class ShapeWriter
{
    private const OPEN = 'array<string, mixed>';

    /** What a model may be without as it is written, and has when it has been read. */
    private const FILLED = ['process', 'universe', 'visits', 'tape'];

    /** Words that a value can be one of, at most, where each is written out. */
    private const SPELT_OUT = 6;

    /** @param JsonSchema $schema a JSON Schema, with its $defs */
    private function __construct(private array $schema) {}

    /**
     * Declarations for a docblock: one for the document, one for each thing that the schema defines.
     *
     * @param JsonSchema $schema
     * @return array<string, string> type by its name
     */
    public static function of(array $schema, string $document): array
    {
        $writer = new self($schema);
        $shapes = [];
        foreach ($schema['$defs'] as $name => $def) {
            $shapes[self::named($name)] = $writer->type($def);
        }

        $shapes = array_filter($shapes, self::isNamed(...));

        return $shapes + [$document => $writer->type($schema)];
    }

    /** The text of {@see Shapes}. */
    public static function file(): string
    {
        $lines = [
            '/**',
            ' * Shapes of documents, for static analysis. Written by core/bin/schemas.php from core/schema.',
            ' *',
        ];
        $model = json_decode(Schema::text('model'), true, flags: JSON_THROW_ON_ERROR);
        foreach (self::of($model, 'ModelDocument') + ['Edit' => self::anyOf('edits')] as $name => $type) {
            array_push($lines, ...self::wrapped(" * @phpstan-type $name $type"));
        }

        return "<?php\n\ndeclare(strict_types=1);\n\nnamespace OddSpark\\Appliance;\n\n".
            implode("\n", [...$lines, ' */', 'interface Shapes {}'])."\n";
    }

    /** One shape for a schema of several: what any of them has, each as it may be left out. */
    private static function anyOf(string $name): string
    {
        $schema = json_decode(Schema::text($name), true, flags: JSON_THROW_ON_ERROR);
        $writer = new self($schema);
        $fields = ['do' => 'string'];
        foreach ($schema['oneOf'] as $each) {
            foreach ($each['properties'] as $key => $of) {
                $fields[$key] = implode('|', array_unique([...explode('|', $fields[$key] ?? ''), $writer->type($of)]));
            }
        }
        unset($fields['do']);

        return 'array{do: string'.
            implode(
                '',
                array_map(
                    fn (string $k, string $t): string => ", $k?: ".ltrim($t, '|'),
                    array_keys($fields),
                    $fields,
                ),
            ).
            '}';
    }

    /**
     * A long line over several, each at most 120 characters.
     *
     * @return list<string>
     */
    private static function wrapped(string $line): array
    {
        // a key and its type stay on one line
        return explode("\n", strtr(wordwrap(strtr($line, [': ' => ":\0"]), 108, "\n *     "), ["\0" => ' ']));
    }

    /** @param JsonSchema $s */
    private function type(array $s): string
    {
        if (isset($s['$ref'])) {
            if ($s['$ref'] === '#') {
                return self::OPEN; // a model within a model: a type cannot hold itself
            }
            $name = basename($s['$ref']);
            $type = $this->type($this->schema['$defs'][$name]);

            return self::isNamed($type) ? self::named($name) : $type;
        }
        if (array_key_exists('const', $s)) {
            return get_debug_type($s['const']);
        }
        if (isset($s['enum'])) {
            return is_string($s['enum'][0]) && count($s['enum']) <= self::SPELT_OUT
                ? implode('|', array_map(fn (string $v): string => "'$v'", $s['enum']))
                : get_debug_type($s['enum'][0]);
        }

        return implode(
            '|',
            array_map(fn (string $type): string => $this->typed($type, $s), (array) ($s['type'] ?? 'any')),
        );
    }

    /** @param JsonSchema $s */
    private function typed(string $type, array $s): string
    {
        return match ($type) {
            'string' => 'string',
            'integer' => 'int',
            'number' => 'int|float',
            'boolean' => 'bool',
            'null' => 'null',
            'array' => $this->listed($s),
            'object' => $this->keyed($s),
            default => 'mixed',
        };
    }

    /** @param JsonSchema $s */
    private function listed(array $s): string
    {
        $item = $this->type($s['items'] ?? []);

        return ($s['maxItems'] ?? 0) === 2 && ($s['minItems'] ?? 0) === 2 ? "array{{$item}, {$item}}" : "list<$item>";
    }

    /** @param JsonSchema $s */
    private function keyed(array $s): string
    {
        if (! isset($s['properties'])) {
            return 'array<string, '.$this->type(
                is_array($s['additionalProperties'] ?? null) ? $s['additionalProperties'] : [],
            ).'>';
        }
        if (($s['additionalProperties'] ?? true) !== false) {
            return self::OPEN; // more may stand in it than is named
        }
        $fields = [];
        foreach ($s['properties'] as $key => $of) {
            $isGiven = in_array($key, $s['required'] ?? [], true) ||
                isset($s['properties']['odd_spark_model']) && in_array($key, self::FILLED, true);
            $fields[] = $key.($isGiven ? '' : '?').': '.$this->type($of);
        }

        return 'array{'.implode(', ', $fields).'}';
    }

    /** Whether a type is long enough to go by its name. */
    private static function isNamed(string $type): bool
    {
        return preg_match('/^array\{[a-z_]+\??: /', $type) === 1;
    }

    private static function named(string $def): string
    {
        return ucfirst($def).'Document';
    }
}
