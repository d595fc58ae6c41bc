<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;

/**
 * The parts of a board, each a box with its terminals on the edges and a label that lies within it.
 */
final readonly class PartBoxes
{
    /**
     * @param list<array<string, mixed>> $parts as the board shows them
     * @param list<array{int, int, int, int}> $rectangles x, y, width and height of each
     * @param array<string, array{int, int, string}> $terminals x, y and edge, by place
     */
    private function __construct(public array $parts, public array $rectangles, public array $terminals) {}

    public static function of(Model $model): self
    {
        $parts = [];
        $rectangles = [];
        $terminals = [];
        foreach ($model->parts() as $part) {
            $kind = $part->kind;
            [$x, $y, $w, $h] = array_map(self::snap(...), [...$part->at, ...$kind->size]);
            $points = [];
            foreach ($kind->terminals as $name => $at) {
                [$tx, $ty] = array_map(self::snap(...), $at);
                $place = "{$part->id}.$name";
                $edge = match (true) {
                    $ty <= 0 => 'up', $ty >= $h => 'down', $tx <= 0 => 'left', default => 'right',
                };
                $terminals[$place] = [$x + $tx, $y + $ty, $edge];
                $points[] = [
                    'place' => $place,
                    'name' => (string) $name,
                    'x' => $x + $tx,
                    'y' => $y + $ty,
                    'edge' => $edge,
                ];
            }
            $rectangles[] = [$x, $y, $w, $h];
            $parts[] = [
                'id' => $part->id,
                'label' => $part->label,
                'title' => $kind->title,
                ...$part->inVan ? ['van' => true] : [],
                'family' => $kind->family->value,
                'symbol' => $kind->symbol,
                ...self::lettered($part->label, $w, $h),
                'x' => $x,
                'y' => $y,
                'w' => $w,
                'h' => $h,
                'terminals' => $points,
                'ports' => Pipes::ports($model, $part->id),
                'controls' => self::controls($kind),
                'resets' => $kind->resets !== [],
                'card' => $kind->card,
                'taps' => self::taps($model, $part->id),
                'hands' => self::hands($kind),
            ];
        }

        return new self($parts, $rectangles, $terminals);
    }

    /**
     * How wide some lines of text are at most, px: by the letters of a humanist face, which are seldom wider on the
     * average than 0.58 of their size. Measured on the face that is shipped.
     *
     * @param list<string> $lines
     */
    public static function labelWidth(array $lines, float $size): float
    {
        return $lines === [] ? 0.0 : max(array_map(fn (string $line) => mb_strlen($line) * 0.58 * $size, $lines));
    }

    /**
     * A label in the largest letters in which it lies within its part: on one line, or on two.
     *
     * @return array{text: list<string>, size: float}
     */
    private static function lettered(string $label, int $w, int $h): array
    {
        $ways = [[$label]];
        $words = explode(' ', $label);
        for ($i = 1; $i < count($words); $i++) {
            $ways[] = [implode(' ', array_slice($words, 0, $i)), implode(' ', array_slice($words, $i))];
        }
        foreach ([15.5, 14.0, 13.0, 12.0, 11.0, 10.0, 9.0, 8.5, 8.0] as $size) {
            foreach ($ways as $lines) {
                if (self::labelWidth($lines, $size) <= $w - 8 && count($lines) * $size * 1.15 <= $h - 6) {
                    return ['text' => $lines, 'size' => $size];
                }
            }
        }

        return ['text' => [mb_substr($label, 0, max(1, (int) floor(($w - 8) / 5.8)))], 'size' => 10.0];
    }

    /** Onto the router's grid, so that a wire leaves its terminal straight. */
    public static function snap(int|float $v): int
    {
        return (int) round($v / Router::PITCH) * Router::PITCH;
    }

    /** @return list<array<string, mixed>> what can be set on a part of this kind: {@see \OddSpark\Appliance\Setting} */
    private static function controls(Kind $kind): array
    {
        $controls = [];
        foreach ($kind->settings as $setting) {
            $controls[] =
                ['positions' => $setting->positions === [] ? null : $setting->positions] + get_object_vars($setting);
        }
        // in the order of the format
        $controls = array_map(
            fn (array $c): array => array_replace(
                array_fill_keys(['lever', 'label', 'unit', 'positions', 'range', 'at'], null),
                $c,
            ),
            $controls,
        );

        return $controls;
    }

    /**
     * @return array<string,
     *     mixed> what hands can do to a part of this kind beside setting it: {@see \OddSpark\Appliance\HandHolds}
     */
    private static function hands(Kind $kind): array
    {
        $hands = get_object_vars($kind->hands());
        unset($hands['reset']); // it is a button of its own on the board

        return $hands;
    }

    /** @return list<array{tap: string, instrument: string, label: string}> where a manometer or thermometer goes */
    private static function taps(Model $model, string $part): array
    {
        $taps = [];
        foreach ($model->taps() as $id => $tap) {
            if ($tap->part === $part) {
                $taps[] = ['tap' => (string) $id, 'instrument' => $tap->instrument, 'label' => $tap->label];
            }
        }

        return $taps;
    }
}
