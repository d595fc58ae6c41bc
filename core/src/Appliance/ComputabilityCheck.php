<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * Whether a model can be computed at all: figures that are figures, no source that its own wiring shorts,
 * no two sources that are tied together and want different volts.
 *
 * What is merely wrong with a wiring (a load without a path, a switched neutral) can be computed, and is
 * not said here.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final class ComputabilityCheck
{
    /** Parameters of primitives that must be above zero, whatever the primitive. */
    private const POSITIVE = '/(^|_)(ohm|amps|microfarad|turns_ratio|volts|millivolts|tau_s|melt_s|overload_s|rated_v|full_v|pull_in_v|picofarad|btu_f|cfm)$/';

    /** No figure is larger, whatever its unit. */
    private const MOST = 1e12;

    /** Pairs of resistance and reactance in series. */
    private const PAIRS = ['run', 'locked', 'tap', 'start_ohms'];

    /** @param ModelDocument $d a resolved document, meant as it says */
    private function __construct(private readonly array $d) {}

    /**
     * @param ModelDocument $document resolved
     *
     * @throws DocumentError that names the parts
     */
    public static function check(array $document): void
    {
        $check = new self($document);
        $check->links();
        $check->figures();
        SourceCheck::check($document);
    }

    /** What a kind asks for by name, each part has to answer. */
    private function links(): void
    {
        foreach ($this->d['parts'] as $i => $part) {
            foreach (
                array_diff(
                    Kind::of($part['kind'], $this->d['kinds'][$part['kind']])->asks(),
                    array_keys($part['links'] ?? []),
                ) as $name
            ) {
                throw new DocumentError("/parts/$i/links", $this->unlinked($part, $name));
            }
        }
    }

    /** @param PartDocument $part */
    private function unlinked(array $part, string $asks): string
    {
        foreach ($this->d['kinds'][$part['kind']]['ports'] ?? [] as $port => $p) {
            if (in_array($asks, [$p['link'] ?? '', $p['frame_link'] ?? '', $p['terminal_link'] ?? ''], true)) {
                $what = $p['label'] ?? $port;

                return Medium::from($p['medium'])->flows()
                    ? Words::say('appliance.computability_check.its_is_joined_to_nothing', [
                        'label' => $part['label'],
                        'what' => $what,
                    ])
                    : Words::say('appliance.computability_check.its_sits_nowhere_yet_join', [
                        'label' => $part['label'],
                        'what' => $what,
                    ]);
            }
        }

        return Words::say('appliance.computability_check.must_say_what_its_is', [
            'id' => $part['id'],
            'asks' => $asks,
        ]);
    }

    private function figures(): void
    {
        foreach ($this->d['kinds'] as $kind => $k) {
            foreach ($k['primitives'] as $name => $spec) {
                // a table's times are looked at with the table; the names of its inputs are anybody's
                $figures = array_diff_key($spec, ['table' => 1, 'inputs' => 1]);
                foreach ($figures + ['input' => array_values($spec['inputs'] ?? [])] as $key => $value) {
                    $this->figure("/kinds/$kind/primitives/$name/$key", "{$k['title']}, $name", (string) $key, $value);
                }
            }
            foreach ($k['modes'] as $mode => $m) {
                foreach ([$m['set'] ?? [], ...array_values($m['degrees'] ?? [])] as $set) {
                    foreach ($set as $path => $value) {
                        $words = explode('.', (string) $path);
                        $this->figure("/kinds/$kind/modes/$mode", "{$k['title']}, $mode", end($words), $value);
                    }
                }
            }
        }
        foreach ($this->d['parts'] as $i => $part) {
            foreach ($part['params'] ?? [] as $name => $params) {
                foreach ($params as $key => $value) {
                    $this->figure(
                        "/parts/$i/params/$name/$key",
                        "\"{$part['label']}\" ({$part['id']}), $name",
                        (string) $key,
                        $value,
                    );
                }
            }
        }
    }

    private function figure(string $pointer, string $what, string $key, mixed $value): void
    {
        if (in_array($key, self::PAIRS, true) && is_array($value)) {
            $this->figure("$pointer/0", $what, 'ohm', $value[0] ?? null);

            return;
        }
        if (is_array($value)) {
            foreach ($value as $k => $v) {
                $this->figure("$pointer/$k", $what, (string) $k, $v);
            }

            return;
        }
        if (is_float($value) && ! is_finite($value)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.is_not_a_finite_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if ((is_int($value) || is_float($value)) && abs($value) > self::MOST) {
            throw new DocumentError(
                $pointer,
                Words::say('appliance.computability_check.is_far_too_large_at', [
                    'what' => $what,
                    'key' => $key,
                    'most' => self::MOST,
                    'value' => $value,
                ]),
            );
        }
        if (str_ends_with($key, '_ms') && (! is_int($value) || $value < 0)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_a_whole_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if (preg_match(self::POSITIVE, $key) !== 1) {
            return;
        }
        if (! is_int($value) && ! is_float($value)) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_a_number', [
                'what' => $what,
                'key' => $key,
            ]));
        }
        if ($value <= 0) {
            throw new DocumentError($pointer, Words::say('appliance.computability_check.must_be_above_zero_it', [
                'what' => $what,
                'key' => $key,
                'value' => $value,
            ]));
        }
    }
}
