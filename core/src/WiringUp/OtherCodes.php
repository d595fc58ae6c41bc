<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Shapes;
use OddSpark\Sequence\Lamp;

/**
 * What the lamp or the display of another make shows for the same.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final class OtherCodes
{
    /**
     * Another make has other codes: its lamp counts one more, its display has other letters for what has gone wrong.
     *
     * @param KindDocument $kind
     * @return KindDocument
     */
    public static function in(array $kind): array
    {
        $control = Replacement::deciding($kind);
        ['states' => $states, 'start' => $start] = $kind['primitives'][$control]['table'];
        $others = self::of(array_column($states, 'lamp'), array_column(
            array_filter(
                $states,
                fn (array $s, string $name): bool => $s['outputs'] !== [] || $name === $start,
                ARRAY_FILTER_USE_BOTH,
            ),
            'lamp',
        ));
        foreach ($states as $name => $state) {
            if (isset($state['lamp'])) {
                $states[$name]['lamp'] = $others[$state['lamp']] ?? $state['lamp'];
            }
        }
        $kind['primitives'][$control]['table']['states'] = $states;
        $card = [];
        foreach ($kind['card'] ?? [] as $code => $means) {
            $card[$others[$code] ?? $code] = $means;
        }
        foreach ($kind['percepts'] ?? [] as $name => $percept) {
            if ($percept['of'] === $control) {
                $kind['percepts'][$name]['say'] += array_combine($others, $others);
            }
        }

        return ($card === [] ? [] : ['card' => $card]) + $kind;
    }

    /**
     * @param list<string> $all that its lamp or display shows
     * @param list<string> $usual those of them that it shows when nothing is wrong
     * @return array<string, string> other codes by codes
     */
    private static function of(array $all, array $usual): array
    {
        $others = [];
        $letters = [];
        foreach (array_unique($all) as $code) {
            if (preg_match('/^(\d+) flash(es)?$/', $code, $m) === 1) {
                $others[$code] = ((int) $m[1] + 1).' flashes';
            } elseif (str_starts_with($code, Lamp::LETTERS) && ! in_array($code, $usual, true)) {
                $letters[] = $code;
            }
        }
        foreach ($letters as $i => $code) {
            $others[$code] = $letters[($i + 1) % count($letters)];
        }

        return $others;
    }
}
