<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

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
                    "\"{$element['type']}\" knows no such thing; it takes ".implode(', ', array_keys($given)).'.',
                );
            }
            foreach ($given as $key => $type) {
                $pointer = "/process/$id/$key";
                if (! isset($element[$key])) {
                    if (! str_ends_with($type, '?')) {
                        throw new DocumentError($pointer, "\"{$element['type']}\" needs it.");
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
            'Heat needs a way out that is open always, if a small one: else this gets hotter for ever.',
        );
    }

    /** @param array<string, true> $known */
    private static function value(string $pointer, string $type, mixed $value, array $known): void
    {
        if (str_contains($type, '|')) {
            in_array($value, explode('|', $type), true) ||
                throw new DocumentError($pointer, 'Must be one of '.str_replace('|', ', ', $type).'.');

            return;
        }
        switch ($type) {
            case 'number':
                self::number($pointer, $value);
                break;
            case 'text':
                is_string($value) || throw new DocumentError($pointer, 'Must be a word.');
                break;
            case 'runs':
                foreach (is_array($value) ? $value : [] as $i => $run) {
                    self::id("$pointer/$i", is_array($run) ? $run[0] ?? null : null, $known);
                }
                break;
            case 'holds':
            case 'places':
                is_array($value) || throw new DocumentError($pointer, 'Must be a list.');
                break;
            case 'id':
                self::id($pointer, $value, $known);
                break;
            default:
                if (! is_array($value) || ! array_is_list($value)) {
                    throw new DocumentError($pointer, 'Must be a list.');
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
            throw new DocumentError($pointer, 'Must be a number.');
        }
        if (abs($value) > self::MOST) {
            throw new DocumentError($pointer, 'Is far too large: '.self::MOST." at most; it is $value.");
        }
        if ($value <= 0 && preg_match('/(tau_s|holds|cfm|btu_f|btu_h_f|per_degree)$/', $pointer) === 1) {
            throw new DocumentError($pointer, "Must be above zero; it is $value.");
        }
    }

    /** @param array<string, true> $known */
    private static function id(string $pointer, mixed $value, array $known): void
    {
        if (! is_string($value) || ! isset($known[$value])) {
            throw new DocumentError(
                $pointer,
                'There is neither a process nor anything in a part called "'.
                    (is_string($value) ? $value : json_encode($value)).
                    '".',
            );
        }
    }

    /** @param array<string, true> $known */
    private static function condition(string $pointer, mixed $c, array $known): void
    {
        if (! is_array($c) || ! isset($c['by'])) {
            throw new DocumentError($pointer, 'Must say by what: by, and key with when, above or below.');
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
            throw new DocumentError($pointer, 'Must have gives, or per_degree and to.');
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
