<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

/**
 * Where the letters of a part are written and its drawing stands: names of terminals beside their terminals, the label
 * and the drawing where room is left, nothing upon anything else.
 *
 * Board pixels, measured from the corner of the part. A box is left, top, right and bottom; of letters the point of
 * the anchor is given, on the line through their middle.
 *
 * @phpstan-type Box array{float, float, float, float}
 * @phpstan-type Spot array{x: float, y: float, anchor: string, upright: bool}
 */
final class Lettering
{
    /** Nothing on a board is written smaller. */
    public const LEAST = 13.0;

    private const SIZES = [15.5, 14.0, self::LEAST];

    /** A label that is too long is pressed to this share of its width at least; below it, it is cut. */
    public const PRESSED = 0.7;

    private const SYMBOL = [40.0, 20.0];

    private const GLYPH = [24.0, 24.0];

    private const TERMINAL = 7.0;

    private const ROUNDS = 2;

    /** From the top of a capital to the end of a descender, as a share of the size; of the face that is shipped. */
    private const HEIGHT = 0.9;

    private readonly FreeRoom $room;

    /** @var array<int|string, Spot> by terminal */
    public readonly array $names;

    /** @var list<string> */
    public readonly array $text;

    public readonly float $size;

    /** @var array{float, float} the middle of the label */
    public readonly array $textAt;

    /** @var list<float> how wide each line of the label is pressed; none where it has room */
    public readonly array $pressed;

    /** @var array{float, float}|null the middle of the symbol, where there is room for one */
    public readonly ?array $symbolAt;

    /** @var list<array{float, float}> middles of what is drawn beside the symbol; on a corner where there is no room */
    public readonly array $glyphsAt;

    /**
     * @param array<int|string, array{int, int, string}> $terminals x, y and edge by name; named only where there are
     *     more than two
     */
    public function __construct(
        private readonly int $w,
        private readonly int $h,
        private readonly array $terminals,
        string $label,
        bool $hasSymbol,
        int $glyphs,
    ) {
        $this->room = new FreeRoom($w, $h);
        foreach ($terminals as [$x, $y]) {
            $this->room->take([$x - self::TERMINAL, $y - self::TERMINAL, $x + self::TERMINAL, $y + self::TERMINAL]);
        }
        $this->names = count($terminals) > 2 ? $this->named() : [];
        [$this->text, $this->size, $this->textAt, $pressed] = $this->labelled($label, $hasSymbol);
        $wide = self::width($this->text, $this->size) * $pressed;
        $this->pressed = array_map(
            fn (string $line) => Letters::width($line, $this->size) * $pressed,
            $pressed < 1.0 ? $this->text : [],
        );
        $this->room->take(FreeRoom::box($this->textAt, [$wide, $this->size * 1.1 * count($this->text)]));
        $beside = $hasSymbol ? $this->room->near(self::SYMBOL, $this->textAt) : null;
        $this->symbolAt = $beside;
        if ($beside !== null) {
            $this->room->take(FreeRoom::box($beside, self::SYMBOL));
        }
        $at = [];
        for ($i = 0; $i < $glyphs; $i++) {
            $spot = $this->room->near(self::GLYPH, $beside ?? $this->textAt);
            $at[] = $spot ??= $this->room->corner(self::GLYPH, $i);
            $this->room->take(FreeRoom::box($spot, self::GLYPH));
        }
        $this->glyphsAt = $at;
    }

    /**
     * How wide the widest of some lines is, in the units of their size.
     *
     * @param list<string> $lines
     */
    public static function width(array $lines, float $size): float
    {
        return $lines === [] ? 0.0 : max(array_map(fn (string $line) => Letters::width($line, $size), $lines));
    }

    /** @return array<int|string, Spot> */
    private function named(): array
    {
        $circles = $this->room->taken();
        $names = $boxes = [];
        $onEdge = array_count_values(array_column($this->terminals, 2));
        // those at the sides have hardly another place; what came upon something is looked at once more
        $order = $this->terminals;
        uasort($order, fn (array $a, array $b) => self::isAtSide($b[2]) <=> self::isAtSide($a[2]));
        for ($round = 0; $round < self::ROUNDS; $round++) {
            foreach ($order as $name => [$x, $y, $edge]) {
                $this->room->takeOnly([...$circles, ...array_values(array_diff_key($boxes, [$name => 1]))]);
                $ways = $this->waysToWrite((string) $name, $x, $y, $edge, $this->isClose($onEdge[$edge], $edge));
                $costs = array_map(fn (array $way) => $this->room->overlap($way[1]), $ways);
                [$names[$name], $boxes[$name]] = $ways[array_search(min($costs), $costs, true)];
            }
        }
        $this->room->takeOnly([...$circles, ...array_values($boxes)]);

        return $names;
    }

    /** Whether terminals stand so close on an edge that all of them are written upright, and alike. */
    private function isClose(int $terminals, string $edge): bool
    {
        return ! self::isAtSide($edge) && $terminals > 4 && $this->w / $terminals < 48;
    }

    private static function isAtSide(string $edge): bool
    {
        return $edge === 'left' || $edge === 'right';
    }

    /**
     * Ways to write a terminal's name, the usual one first.
     *
     * @return list<array{Spot, Box}>
     */
    private function waysToWrite(string $name, int $x, int $y, string $edge, bool $close): array
    {
        $wide = self::width([$name], self::LEAST);
        $half = self::LEAST * self::HEIGHT / 2;
        if (self::isAtSide($edge)) {
            $isLeft = $edge === 'left';
            $from = $isLeft ? $x + 10.0 : $x - 10.0 - $wide;
            $at = ['x' => $isLeft ? $from : $x - 10.0, 'anchor' => $isLeft ? 'start' : 'end', 'upright' => false];

            return array_map(
                fn (float $cy) => [$at + ['y' => $cy], [$from, $cy - $half, $from + $wide, $cy + $half]],
                [(float) $y, $y - 8.0, $y + 8.0],
            );
        }
        $isUp = $edge === 'up';
        $ways = [];
        $level = function (float $aside, float $deep) use ($x, $y, $isUp, $wide, $half): array {
            $cx = min(max($x + $aside, $wide / 2 + 3), $this->w - $wide / 2 - 3);
            $cy = $isUp ? $y + $deep : $y - $deep;

            return [
                ['x' => $cx, 'y' => $cy, 'anchor' => 'middle', 'upright' => false],
                [$cx - $wide / 2, $cy - $half, $cx + $wide / 2, $cy + $half],
            ];
        };
        if (! $close) {
            $ways[] = $level(0, 15);
            $ways[] = $level(0, 13);
            $ways[] = $level($wide / 3, 15);
            $ways[] = $level(-$wide / 3, 15);
        }
        // turned, it is read from below; it begins at its terminal, or a little beside it
        $from = $isUp ? $y + 10.0 : $y - 10.0 - $wide;
        foreach ([0.0, -6.0, 6.0, -9.0, 9.0] as $aside) {
            $cx = $x + $aside;
            $ways[] = [
                [
                    'x' => $cx,
                    'y' => $isUp ? $from : $from + $wide,
                    'anchor' => $isUp ? 'end' : 'start',
                    'upright' => true,
                ],
                [$cx - $half, $from, $cx + $half, $from + $wide],
            ];
        }
        if (! $close) {
            $ways[] = $level(0, 29);
        }

        return $ways;
    }

    /**
     * The label in the largest letters for which there is room: on one line or on more, its drawing above it where
     * there is one.
     *
     * @return array{list<string>, float, array{float, float}, float} lines, size, middle, and how far they are pressed
     */
    private function labelled(string $label, bool $hasSymbol): array
    {
        foreach ($hasSymbol ? [self::SYMBOL[1] + FreeRoom::GAP, 0.0] : [0.0] as $above) {
            foreach (self::SIZES as $size) {
                foreach (self::lines($label) as $lines) {
                    $room = [self::width($lines, $size), $size * 1.1 * count($lines) + $above];
                    $at = $this->room->near($room, [$this->w / 2, $this->h / 2]);
                    if ($at !== null) {
                        return [$lines, $size, [$at[0], $at[1] + $above / 2], 1.0];
                    }
                }
            }
        }
        $lines = self::lines($label);
        usort($lines, fn (array $a, array $b) => self::width($a, 1) <=> self::width($b, 1));
        foreach ([1.0, 0.9, 0.8, self::PRESSED] as $pressed) {
            foreach ($lines as $of) {
                $high = self::LEAST * (1.1 * (count($of) - 1) + self::HEIGHT);
                $room = [self::width($of, self::LEAST) * $pressed, $high];
                $at = $this->room->near($room, [$this->w / 2, $this->h / 2], 1.0, 1.0);
                if ($at !== null) {
                    return [$of, self::LEAST, $at, $pressed];
                }
            }
        }
        while (mb_strlen($label) > 1 && Letters::width($label, self::LEAST) > $this->w - 8) {
            $label = mb_substr($label, 0, -1);
        }

        return [[$label], self::LEAST, [$this->w / 2, $this->h / 2], 1.0];
    }

    /** @return list<list<string>> a label on one line, and parted at each of its spaces */
    private static function lines(string $label): array
    {
        $ways = [[$label]];
        $words = explode(' ', $label);
        for ($i = 1; $i < count($words); $i++) {
            $ways[] = [implode(' ', array_slice($words, 0, $i)), implode(' ', array_slice($words, $i))];
        }
        if (count($words) === 3) {
            $ways[] = $words;
        }

        return $ways;
    }
}
