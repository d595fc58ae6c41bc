<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Words\Words;

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
        return new self(self::name(), Words::say('acts.field.needs_a_part', ['act' => '%s']), 'part');
    }

    public static function place(): self
    {
        return new self(self::name(), Words::say('acts.field.needs_a_place', ['act' => '%s']), 'place');
    }

    /** A place, or none. */
    public static function placeOrNone(): self
    {
        return new self(
            ['type' => ['string', 'null'], 'maxLength' => self::LONGEST_NAME],
            Words::say('acts.field.it_goes_on_a_place'),
            'place',
        );
    }

    /** A tap, or none. */
    public static function tapOrNone(): self
    {
        return new self(
            ['type' => ['string', 'null'], 'maxLength' => self::LONGEST_NAME],
            Words::say('acts.field.it_goes_to_a_tap'),
            'tap',
        );
    }

    public static function wireEnd(): self
    {
        return new self(self::name(), Words::say('acts.field.needs_an_end', ['act' => '%s']), 'end');
    }

    public static function wires(int $most): self
    {
        return new self(
            ['type' => 'array', 'maxItems' => $most, 'items' => self::name()],
            Words::say('acts.field.must_be_a_list_of', ['most' => $most]),
            'wire',
        );
    }

    public static function places(int $most): self
    {
        return new self(
            ['type' => 'array', 'maxItems' => $most, 'items' => self::name()],
            Words::say('acts.field.must_be_a_list_of_places', ['most' => $most]),
            'place',
        );
    }

    /** Parts or wires. */
    public static function parts(int $most): self
    {
        return new self(
            ['type' => 'array', 'maxItems' => $most, 'items' => self::name()],
            Words::say('acts.field.must_be_a_list_of', ['most' => $most]),
            'part',
        );
    }

    /** A name of anything else: a fault, a lever, a spare. */
    public static function id(string $what): self
    {
        return new self(self::name(), Words::say('acts.field.needs_a', ['act' => '%s', 'what' => $what]));
    }

    public static function oneOf(string ...$values): self
    {
        $all = str_replace('%', '%%', implode(', ', $values)); // some are units

        return new self(['enum' => array_values($values)], Words::say('acts.field.must_be_one_of', [
            'all' => $all,
        ]));
    }

    public static function number(): self
    {
        return new self(['type' => 'number'], Words::say('acts.field.must_be_a_number'));
    }

    public static function between(float $least, float $most): self
    {
        return new self(
            ['type' => 'number', 'minimum' => $least, 'maximum' => $most],
            Words::say('acts.field.must_be_between', ['least' => $least, 'most' => $most]),
        );
    }

    public static function whole(int $least, int $most): self
    {
        return new self(
            ['type' => 'integer', 'minimum' => $least, 'maximum' => $most],
            Words::say('acts.field.must_be_a_whole_number', ['least' => $least, 'most' => $most]),
        );
    }

    /** A position or a figure. */
    public static function setting(): self
    {
        return new self(
            ['type' => ['string', 'number'], 'maxLength' => self::LONGEST_NAME],
            Words::say('acts.field.needs_a_setting', ['act' => '%s']),
        );
    }

    /** What a person writes of himself. */
    public static function words(): self
    {
        return new self(
            ['type' => 'string', 'minLength' => 1, 'maxLength' => self::LONGEST_WORDS],
            Words::say('acts.field.must_be_said_in_at', ['longest_words' => self::LONGEST_WORDS]),
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
