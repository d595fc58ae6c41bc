<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Move;

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
            $points = $edges = [];
            foreach ($kind->terminals as $name => $at) {
                [$tx, $ty] = array_map(self::snap(...), $at);
                $place = "{$part->id}.$name";
                $edge = match (true) {
                    $ty <= 0 => 'up', $ty >= $h => 'down', $tx <= 0 => 'left', default => 'right',
                };
                $terminals[$place] = [$x + $tx, $y + $ty, $edge];
                $edges[$name] = [$tx, $ty, $edge];
                $points[$name] = [
                    'place' => $place,
                    'name' => (string) $name,
                    'x' => $x + $tx,
                    'y' => $y + $ty,
                    'edge' => $edge,
                ];
            }
            $moves = $drawn = [];
            foreach (Move::in($kind) as $move) {
                $drawn[] = self::moves($part->id, $move);
                $moves[] = $move;
            }
            $beside = array_keys(array_filter($moves, fn (Move $move) => ! $move->as->isTheSymbol()));
            $letters = new Lettering($w, $h, $edges, $part->label, $w >= 60 && $h >= 40, count($beside));
            foreach ($beside as $i => $move) {
                [$mx, $my] = $letters->glyphsAt[$i];
                $drawn[$move]['at'] = [$x + $mx, $y + $my];
            }
            foreach ($letters->names as $name => $at) {
                $points[$name]['letters'] = ['x' => $x + $at['x'], 'y' => $y + $at['y']] + $at;
            }
            $rectangles[] = [$x, $y, $w, $h];
            $parts[] = [
                'id' => $part->id,
                'label' => $part->label,
                'title' => $kind->title,
                ...$part->inVan ? ['van' => true] : [],
                'family' => $kind->family->value,
                'symbol' => $kind->symbol,
                'text' => $letters->text,
                'size' => $letters->size,
                ...$letters->pressed === [] ? [] : ['text_w' => $letters->pressed],
                'text_at' => [$x + $letters->textAt[0], $y + $letters->textAt[1]],
                ...$letters->symbolAt === null
                    ? []
                    : ['symbol_at' => [$x + $letters->symbolAt[0], $y + $letters->symbolAt[1]]],
                ...$drawn === [] ? [] : ['moves' => $drawn],
                'x' => $x,
                'y' => $y,
                'w' => $w,
                'h' => $h,
                'terminals' => array_values($points),
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

    /** Onto the router's grid, so that a wire leaves its terminal straight. */
    public static function snap(int|float $v): int
    {
        return (int) round($v / Router::PITCH) * Router::PITCH;
    }

    /**
     * @return array{channel: string, as: string, oil?: true,
     *     codes?: array<string, array<string, bool|int|float|string>>}
     */
    private static function moves(string $part, Move $move): array
    {
        return [
            'channel' => "$part.{$move->percept}", 'as' => $move->as->value,
            ...$move->isOil ? ['oil' => true] : [],
            ...$move->codes === [] ? [] : ['codes' => array_map(fn ($code) => $code->toArray(), $move->codes)],
        ];
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
