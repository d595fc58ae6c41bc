<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Meter\Mode;

/**
 * What can be done: the fields that each act needs, and the minutes of labour it costs.
 *
 * Labour minutes are common practice, no source; they order acts, they do not price them.
 */
final class Catalogue
{
    /** Letters of what a person writes of himself. */
    private const WORDS = 160;

    /** @var array<string, array{fields: array<string, string>, minutes: float}> */
    public const ACTS = [
        'look' => ['fields' => ['part' => 'string'], 'minutes' => 0.5],
        'door' => ['fields' => ['to' => 'open|shut'], 'minutes' => 0.5],
        'hold' => ['fields' => ['to' => 'held|released'], 'minutes' => 0.2],
        'set' => ['fields' => ['part' => 'string', 'lever' => 'string', 'to' => 'any'], 'minutes' => 0.5],
        'dial' => ['fields' => ['mode' => Mode::DIAL, 'range' => 'number?'], 'minutes' => 0.0],
        'keep' => ['fields' => ['to' => 'on|off'], 'minutes' => 0.0],
        'leads' => ['fields' => ['red' => 'place', 'black' => 'place'], 'minutes' => 0.3],
        'meter_fuse' => ['fields' => [], 'minutes' => 2.0],
        'meter_battery' => ['fields' => [], 'minutes' => 2.0],
        'clamp' => ['fields' => ['wires' => 'list', 'turns' => 'turns?'], 'minutes' => 0.3],
        'gauge' => ['fields' => ['tap' => 'place'], 'minutes' => 2.0],
        'probe' => ['fields' => ['tap' => 'place'], 'minutes' => 1.0],
        'draught' => ['fields' => ['tap' => 'place'], 'minutes' => 2.0],
        'analyser' => ['fields' => ['tap' => 'place'], 'minutes' => 4.0],
        'smoke' => ['fields' => ['tap' => 'place'], 'minutes' => 3.0],
        'oil_gauge' => ['fields' => ['tap' => 'place'], 'minutes' => 4.0],
        'tester' => ['fields' => ['place' => 'string'], 'minutes' => 0.2],
        'read' => ['fields' => ['of' => 'meter|clamp|gauge|probe|draught|analyser|smoke|oil_gauge?'], 'minutes' => 0.1],
        'meant' => ['fields' => ['meaning' => 'good|bad|unsure'], 'minutes' => 0.0],
        'suspect' => ['fields' => ['fault' => 'string', 'mark' => 'star|out|open', 'why' => 'words?'], 'minutes' => 0.0],
        'todo' => ['fields' => ['item' => 'words', 'state' => 'open|done|gone'], 'minutes' => 0.0],
        'lift' => ['fields' => ['end' => 'string'], 'minutes' => 1.0],
        'land' => ['fields' => ['end' => 'string'], 'minutes' => 1.0],
        'plug' => ['fields' => ['part' => 'string', 'to' => 'off|on'], 'minutes' => 0.5],
        'jump' => ['fields' => ['from' => 'string', 'to' => 'string'], 'minutes' => 1.0],
        'unjump' => ['fields' => ['from' => 'string', 'to' => 'string'], 'minutes' => 0.5],
        'listen' => ['fields' => ['part' => 'string'], 'minutes' => 0.2],
        'smell' => ['fields' => [], 'minutes' => 0.1],
        'feel' => ['fields' => ['part' => 'string'], 'minutes' => 0.2],
        'ask' => ['fields' => ['question' => 'since|display|noise|smell|filter|work'], 'minutes' => 0.5],
        'turn' => ['fields' => ['part' => 'string'], 'minutes' => 0.5],
        'push' => ['fields' => ['part' => 'string', 'to' => 'in|out'], 'minutes' => 0.3],
        'suck' => ['fields' => ['part' => 'string', 'to' => 'on|off'], 'minutes' => 0.3],
        'tap' => ['fields' => ['part' => 'string'], 'minutes' => 0.2],
        'clock' => ['fields' => ['part' => 'string'], 'minutes' => 2.0],
        'batteries' => ['fields' => ['part' => 'string'], 'minutes' => 2.0],
        'fuse' => ['fields' => ['part' => 'string', 'amps' => 'number'], 'minutes' => 1.0],
        'spare' => ['fields' => ['part' => 'string', 'spare' => 'string'], 'minutes' => 20.0],
        'reset' => ['fields' => ['part' => 'string'], 'minutes' => 0.5],
        'mend' => ['fields' => ['part' => 'string', 'how' => 'replace|clean|clear|set'], 'minutes' => 20.0],
        'wait' => ['fields' => [], 'minutes' => 0.0],
        'hint' => ['fields' => ['grade' => 'where|circuit|reading'], 'minutes' => 0.0],
        'name' => ['fields' => ['fault' => 'string'], 'minutes' => 0.0],
        'hand_back' => ['fields' => [], 'minutes' => 2.0],
    ];

    /**
     * An act from its JSON, checked.
     *
     * @param array<string, mixed> $json
     * @param string $pointer of it in the document
     *
     * @throws ActError
     */
    public static function act(array $json, string $pointer = ''): Act
    {
        $name = $json['act'] ?? null;
        if (! is_string($name) || ! isset(self::ACTS[$name])) {
            throw new ActError("$pointer/act", 'There is no such act; known are '.implode(', ', array_keys(self::ACTS)).'.');
        }
        $at = $json['at_s'] ?? null;
        if (! is_int($at) && ! is_float($at) || $at < 0 || $at > 1e7 || ! is_finite((float) $at)) {
            throw new ActError("$pointer/at_s", 'Must be seconds since the arrival, from 0 to 10,000,000.');
        }
        $with = [];
        foreach (self::ACTS[$name]['fields'] as $field => $type) {
            $value = $json[$field] ?? null;
            if (str_ends_with($type, '?')) {
                if ($value === null) {
                    continue;
                }
                $type = substr($type, 0, -1);
            }
            $fine = match ($type) {
                'number' => is_int($value) || is_float($value),
                'turns' => is_int($value) && $value >= 1 && $value <= 20,
                'list' => is_array($value) && array_is_list($value) && count($value) <= 12 && array_filter($value, fn ($v) => ! is_string($v)) === [],
                'string' => is_string($value) && $value !== '',
                'words' => is_string($value) && trim($value) !== '' && mb_strlen($value) <= self::WORDS,
                'place' => is_string($value) || $value === null,
                'any' => is_string($value) || is_int($value) || is_float($value),
                default => in_array($value, explode('|', $type), true),
            };
            if (! $fine) {
                throw new ActError("$pointer/$field", match ($type) {
                    'string' => "\"$name\" needs a $field.",
                    'words' => 'Must be said, in at most '.self::WORDS.' letters.',
                    'number' => 'Must be a number.',
                    'turns' => 'Must be a whole number of turns, 1 to 20.',
                    'list' => 'Must be a list of at most 12 names.',
                    'place' => "The $field goes on a place, or on none (null).",
                    'any' => "\"$name\" needs to know what to set it to.",
                    default => 'Must be one of '.str_replace('|', ', ', $type).'.',
                });
            }
            $with[$field] = $value;
        }
        $unknown = array_diff(array_keys($json), array_keys($with), ['at_s', 'act', 'id']);
        if ($unknown !== []) {
            throw new ActError("$pointer/".reset($unknown), "\"$name\" takes no such thing.");
        }

        return new Act((int) round($at * 1000), $name, $with);
    }
}
