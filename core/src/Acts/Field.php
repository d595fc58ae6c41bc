<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** A field of an act: what may stand in it, as a JSON Schema, and what it names on an appliance. */
final readonly class Field
{
    private const LONGEST_NAME = 200;

    private const LONGEST_WORDS = 160;

    /**
     * @param array<string, mixed> $schema
     * @param string $sentence what is said when it is otherwise; %s: the act
     * @param string $names part, place, end, tap, wire: what of the appliance it names; '' for nothing
     */
    private function __construct(
        public array $schema,
        public string $sentence,
        public string $names = '',
        public bool $isOptional = false,
    ) {}

    public static function part(): self
    {
        return new self(self::name(), '"%s" needs a part.', 'part');
    }

    public static function place(): self
    {
        return new self(self::name(), '"%s" needs a place.', 'place');
    }

    /** A place, or none. */
    public static function placeOrNone(): self
    {
        return new self(
            ['type' => ['string', 'null'], 'maxLength' => self::LONGEST_NAME],
            'It goes on a place, or on none (null).',
            'place',
        );
    }

    /** A tap, or none. */
    public static function tapOrNone(): self
    {
        return new self(
            ['type' => ['string', 'null'], 'maxLength' => self::LONGEST_NAME],
            'It goes to a tap, or to none (null).',
            'tap',
        );
    }

    public static function wireEnd(): self
    {
        return new self(self::name(), '"%s" needs the end of a wire.', 'end');
    }

    public static function wires(int $most): self
    {
        return new self(
            ['type' => 'array', 'maxItems' => $most, 'items' => self::name()],
            "Must be a list of at most $most names.",
            'wire',
        );
    }

    /** Parts or wires. */
    public static function parts(int $most): self
    {
        return new self(
            ['type' => 'array', 'maxItems' => $most, 'items' => self::name()],
            "Must be a list of at most $most names.",
            'part',
        );
    }

    /** A name of anything else: a fault, a lever, a spare. */
    public static function id(string $what): self
    {
        return new self(self::name(), "\"%s\" needs a $what.");
    }

    public static function oneOf(string ...$values): self
    {
        $all = str_replace('%', '%%', implode(', ', $values)); // some are units

        return new self(['enum' => array_values($values)], "Must be one of $all.");
    }

    public static function number(): self
    {
        return new self(['type' => 'number'], 'Must be a number.');
    }

    public static function whole(int $least, int $most): self
    {
        return new self(
            ['type' => 'integer', 'minimum' => $least, 'maximum' => $most],
            "Must be a whole number, $least to $most.",
        );
    }

    /** A position or a figure. */
    public static function setting(): self
    {
        return new self(
            ['type' => ['string', 'number'], 'maxLength' => self::LONGEST_NAME],
            '"%s" needs to know what to set it to.',
        );
    }

    /** What a person writes of himself. */
    public static function words(): self
    {
        return new self(
            ['type' => 'string', 'minLength' => 1, 'maxLength' => self::LONGEST_WORDS],
            'Must be said, in at most '.self::LONGEST_WORDS.' letters.',
        );
    }

    public function optional(): self
    {
        return new self($this->schema, $this->sentence, $this->names, true);
    }

    /**
     * Whether a value is as the schema asks. The few words of it that are used here are looked at directly: acts are
     * many.
     */
    public function takes(mixed $value): bool
    {
        return self::fits($this->schema, $value);
    }

    /** @param array<string, mixed> $schema */
    private static function fits(array $schema, mixed $value): bool
    {
        if (isset($schema['enum'])) {
            return in_array($value, $schema['enum'], true);
        }
        $isType = fn (string $type): bool => match ($type) {
            'string' => is_string($value),
            'null' => $value === null,
            'integer' => is_int($value),
            'number' => is_int($value) || is_float($value) && is_finite($value),
            default => is_array($value) && array_is_list($value),
        };
        if (array_filter((array) $schema['type'], $isType) === []) {
            return false;
        }

        return match (true) {
            is_string($value) => mb_strlen(trim($value)) >= ($schema['minLength'] ?? 0) &&
                mb_strlen($value) <= ($schema['maxLength'] ?? PHP_INT_MAX),
            is_array($value) => count($value) <= $schema['maxItems'] &&
                array_filter($value, fn (mixed $v): bool => ! self::fits($schema['items'], $v)) === [],
            is_int($value) || is_float($value) => $value >= ($schema['minimum'] ?? -INF) &&
                $value <= ($schema['maximum'] ?? INF),
            default => true,
        };
    }

    /** @return array<string, mixed> */
    private static function name(): array
    {
        return ['type' => 'string', 'minLength' => 1, 'maxLength' => self::LONGEST_NAME];
    }
}
