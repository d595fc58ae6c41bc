<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * Whether each process element is given what it needs, of the right kind, and names what is there.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class ProcessCheck
{
    /** No figure of a process is larger, whatever its unit. */
    private const MOST = 1e9;

    /**
     * @param ModelDocument $d a resolved document whose types of process are known
     *
     * @throws DocumentError with a pointer into /process
     */
    public static function check(array $d): void
    {
        $known = array_fill_keys(array_keys($d['process']), true);
        foreach ($d['parts'] as $part) {
            foreach (array_keys($d['kinds'][$part['kind']]['primitives']) as $name) {
                $known["{$part['id']}.$name"] = true;
            }
        }
        foreach ($d['process'] as $id => $element) {
            $given = Primitives::TYPES[$element['type']]::GIVEN;
            $unknown = array_diff(array_keys($element), array_keys($given), ['type']);
            if ($unknown !== []) {
                throw new DocumentError(
                    "/process/$id/".reset($unknown),
                    Words::say('appliance.process_check.knows_no_such_thing_it', [
                        'type' => $element['type'],
                        'given' => implode(', ', array_keys($given)),
                    ]),
                );
            }
            foreach ($given as $key => $type) {
                $pointer = "/process/$id/$key";
                if (! isset($element[$key])) {
                    if (! str_ends_with($type, '?')) {
                        throw new DocumentError($pointer, Words::say('appliance.process_check.needs_it', [
                            'type' => $element['type'],
                        ]));
                    }

                    continue;
                }
                self::value($pointer, rtrim($type, '?'), $element[$key], $known);
            }
            if (($given['loses'] ?? '') === 'items') {
                self::alwaysOpen("/process/$id/loses", $element['loses']);
            }
        }
    }

    /**
     * Whether heat has a way out that is never shut: without one a store would get hotter for ever.
     *
     * @param list<array<string, mixed>> $ways
     */
    private static function alwaysOpen(string $pointer, array $ways): void
    {
        foreach ($ways as $way) {
            if ($way['per_degree'] > 0 && [...$way['if'] ?? [], ...$way['ways'] ?? []] === []) {
                return;
            }
        }
        throw new DocumentError(
            $pointer,
            Words::say('appliance.process_check.heat_needs_a_way_out'),
        );
    }

    /** @param array<string, true> $known */
    private static function value(string $pointer, string $type, mixed $value, array $known): void
    {
        if (str_contains($type, '|')) {
            in_array($value, explode('|', $type), true) ||
                throw new DocumentError($pointer, Words::say('appliance.process_check.must_be_one_of', [
                    'what' => str_replace('|', ', ', $type),
                ]));

            return;
        }
        switch ($type) {
            case 'number':
                self::number($pointer, $value);
                break;
            case 'text':
                is_string($value) || throw new DocumentError($pointer, Words::say('appliance.process_check.no_word'));
                break;
            case 'runs':
                foreach (is_array($value) ? $value : [] as $i => $run) {
                    self::id("$pointer/$i", is_array($run) ? $run[0] ?? null : null, $known);
                }
                break;
            case 'holds':
            case 'places':
                is_array($value) || throw new DocumentError($pointer, Words::say('appliance.process_check.no_list'));
                break;
            case 'id':
                self::id($pointer, $value, $known);
                break;
            default:
                if (! is_array($value) || ! array_is_list($value)) {
                    throw new DocumentError($pointer, Words::say('appliance.process_check.no_list'));
                }
                foreach ($value as $i => $item) {
                    match ($type) {
                        'ids' => self::id("$pointer/$i", $item, $known),
                        'conditions' => self::condition("$pointer/$i", $item, $known),
                        default => self::item("$pointer/$i", $item, $known),
                    };
                }
        }
    }

    private static function number(string $pointer, mixed $value): void
    {
        if (! is_int($value) && ! is_float($value) || ! is_finite((float) $value)) {
            throw new DocumentError($pointer, Words::say('appliance.process_check.must_be_a_number'));
        }
        if (abs($value) > self::MOST) {
            throw new DocumentError($pointer, Words::say('appliance.process_check.is_far_too_large_at', [
                'most' => self::MOST,
                'value' => $value,
            ]));
        }
        if ($value <= 0 && preg_match('/(tau_s|holds|cfm|btu_f|btu_h_f|per_degree)$/', $pointer) === 1) {
            throw new DocumentError($pointer, Words::say('appliance.process_check.must_be_above_zero_it', [
                'value' => $value,
            ]));
        }
    }

    /** @param array<string, true> $known */
    private static function id(string $pointer, mixed $value, array $known): void
    {
        if (! is_string($value) || ! isset($known[$value])) {
            throw new DocumentError(
                $pointer,
                Words::say('appliance.process_check.there_is_neither_a_process', [
                    'value' => is_string($value) ? $value : json_encode($value),
                ]),
            );
        }
    }

    /** @param array<string, true> $known */
    private static function condition(string $pointer, mixed $c, array $known): void
    {
        if (! is_array($c) || ! isset($c['by'])) {
            throw new DocumentError($pointer, Words::say('appliance.process_check.must_say_by_what_by'));
        }
        self::id("$pointer/by", $c['by'], $known);
        foreach (['above', 'below'] as $level) {
            if (isset($c[$level])) {
                self::number("$pointer/$level", $c[$level]);
            }
        }
    }

    /** @param array<string, true> $known */
    private static function item(string $pointer, mixed $item, array $known): void
    {
        if (! is_array($item) || ! isset($item['gives']) && ! isset($item['per_degree'], $item['to'])) {
            throw new DocumentError($pointer, Words::say('appliance.process_check.must_have_gives_or_per'));
        }
        foreach (array_intersect_key($item, ['gives' => 1, 'per_degree' => 1]) as $key => $value) {
            self::number("$pointer/$key", $value);
        }
        if (isset($item['to']) && ! is_int($item['to']) && ! is_float($item['to'])) {
            self::id("$pointer/to", $item['to'], $known);
        }
        foreach ($item['if'] ?? [] as $i => $c) {
            self::condition("$pointer/if/$i", $c, $known);
        }
        foreach ($item['ways'] ?? [] as $i => $way) {
            self::id("$pointer/ways/$i", $way, $known);
        }
    }
}
