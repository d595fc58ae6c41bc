<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;

/**
 * Which part of one model stands for which of another, and what is said of one in the names of the other.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Counterparts
{
    /** Keys whose values are words, and name no part. */
    private const WORDS = [
        'type',
        'title',
        'name',
        'label',
        'tone',
        'sense',
        'from',
        'thing',
        'instrument',
        'lever',
        'key',
        'when',
        'to_say',
        'fuel',
        'shows',
        'mode',
        'say',
    ];

    /**
     * Which part there stands for which here: of one kind by their order, else the only one of a family.
     *
     * @param ModelDocument $there
     * @param ModelDocument $here
     * @return array<string, string> id here by id there
     */
    public static function of(array $there, array $here): array
    {
        $names = [];
        $free = array_column($here['parts'], null, 'id');
        // where the other model is composed, what it includes answers to what is included here, and its own to our own
        $composed = array_filter($there['parts'], fn (array $p) => str_contains($p['id'], '.')) !== [];
        $belongs = fn (string $one, string $two): bool => ! $composed ||
            str_contains($one, '.') === str_contains($two, '.');
        foreach (['kind', 'family'] as $by) {
            $trait = fn (array $d, array $part): string => $by === 'kind'
                ? $part['kind']
                : $d['kinds'][$part['kind']]['family'].' '.$d['kinds'][$part['kind']]['symbol'];
            foreach ($there['parts'] as $part) {
                foreach (isset($names[$part['id']]) ? [] : $free as $id => $candidate) {
                    if ($belongs((string) $id, $part['id']) && $trait($here, $candidate) === $trait($there, $part)) {
                        $names[$part['id']] = (string) $id;
                        unset($free[$id]);
                        break;
                    }
                }
            }
        }

        return $names;
    }

    /**
     * Every word that names a part, or something in one, in the names of here.
     *
     * @param array<array-key, mixed> $value
     * @param array<string, string> $names
     * @return array<array-key, mixed>
     */
    public static function spoken(array $value, array $names): array
    {
        $out = [];
        foreach ($value as $key => $v) {
            // a channel; other keys are words of the format
            $key = is_string($key) && str_contains($key, '.') ? self::renamed($key, $names) : $key;
            $out[$key] = is_array($v)
                ? self::spoken($v, $names)
                : (is_string($v) && ! in_array($key, self::WORDS, true)
                    ? self::renamed($v, $names)
                    : $v);
        }

        return $out;
    }

    /** @param array<string, string> $names */
    public static function renamed(string $v, array $names): string
    {
        if (isset($names[$v])) {
            return $names[$v];
        }
        $dot = strrpos($v, '.');

        return $dot !== false && isset($names[substr($v, 0, $dot)]) ? $names[substr($v, 0, $dot)].substr($v, $dot) : $v;
    }
}
