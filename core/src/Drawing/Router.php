<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

/**
 * Finds a way for each wire over a grid: around parts, beside other wires, crossing them squarely.
 *
 * A* over (cell, direction). Parts are walls; running along another wire or turning on one is so
 * dear that it happens only where there is no other way.
 */
final class Router
{
    public const PITCH = 7;

    private const BEND = 4;

    private const CROSS = 5;

    private const ALONG = 60;

    /**
     * Cells that may be looked at for all wires of a board. A count and no clock, so that a board is drawn the same
     * everywhere.
     */
    public const MOST_STEPS = 4_000_000;

    private const MOST_FOR_ONE = 200_000;

    private const HUG = 2;

    /**
     * On a crowded board: cells apart from which a wire is led straight on rather than by the very best way, and how
     * much straighter.
     */
    private const FAR = 8;

    private const HASTE = 5;

    /** What it costs to go through a cell before another's terminal. */
    private const DOORWAY = 40;

    private const STEP = ['right' => [1, 0], 'left' => [-1, 0], 'down' => [0, 1], 'up' => [0, -1]];

    private readonly int $columns;

    private readonly int $rows;

    /** @var array<int, true> cells under parts */
    private array $walls = [];

    /** @var array<int, true> cells beside parts */
    private array $beside = [];

    /** @var array<int, true> cells before terminals */
    private array $doorways = [];

    /** @var array<int, true> cells through which a wire runs level */
    private array $level = [];

    /** @var array<int, true> cells through which a wire runs upright */
    private array $upright = [];

    /** Whether for some wire no way was found. */
    public bool $lost = false;

    /** Cells that have been looked at so far. */
    public int $steps = 0;

    /** @var array{int, int, int, int} columns and rows within which ways are looked for: first, last, first, last */
    private readonly array $window;

    /**
     * @param list<array{int, int, int, int}> $rectangles x, y, width, height of what is in the way
     * @param array{int, int, int, int}|null $within left, top, right, bottom of the part of the board that ways are
     *     looked for in; null for all of it
     * @param int $mostSteps cells that may be looked at for all wires; the rest go level and upright, whatever is in
     *     the way
     */
    public function __construct(
        int $width,
        int $height,
        array $rectangles,
        private readonly bool $crowded = false,
        ?array $within = null,
        private readonly int $mostSteps = self::MOST_STEPS,
    ) {
        $this->columns = intdiv($width, self::PITCH) + 1;
        $this->rows = intdiv($height, self::PITCH) + 1;
        $this->window = $within === null ? [0, $this->columns - 1, 0, $this->rows - 1] : [
            max(0, intdiv($within[0], self::PITCH)), min($this->columns - 1, intdiv($within[2], self::PITCH)),
            max(0, intdiv($within[1], self::PITCH)), min($this->rows - 1, intdiv($within[3], self::PITCH)),
        ];
        foreach ($rectangles as [$x, $y, $w, $h]) {
            if (
                $within !== null &&
                ($x > $within[2] || $x + $w < $within[0] || $y > $within[3] || $y + $h < $within[1])
            ) {
                continue;
            }
            for ($r = (int) ceil($y / self::PITCH) - 1; $r <= intdiv($y + $h, self::PITCH) + 1; $r++) {
                $inRow = $r * self::PITCH >= $y - 1 && $r * self::PITCH <= $y + $h + 1;
                for ($c = (int) ceil($x / self::PITCH) - 1; $c <= intdiv($x + $w, self::PITCH) + 1; $c++) {
                    if ($inRow && $c * self::PITCH >= $x - 1 && $c * self::PITCH <= $x + $w + 1) {
                        $this->walls[$r * $this->columns + $c] = true;
                    } else {
                        $this->beside[$r * $this->columns + $c] = true;
                    }
                }
            }
        }
    }

    /**
     * Keeps the cell before a terminal for the wires that go there.
     *
     * @param array{int, int, string} $terminal
     */
    public function keepFree(array $terminal): void
    {
        [$c, $r] = $this->outside($terminal);
        $this->doorways[$r * $this->columns + $c] = true;
    }

    /**
     * @param array{int, int, string} $from x, y and the side of the part on which it lies
     * @param array{int, int, string} $to
     * @return list<array{int, int}> corners, the ends included
     */
    public function route(array $from, array $to): array
    {
        [$sc, $sr] = $this->outside($from);
        [$gc, $gr] = $this->outside($to);
        $start = $sr * $this->columns + $sc;
        $goal = $gr * $this->columns + $gc;
        // what is searched is a cell with the direction in which it was come to, as one number: 4 × cell + direction
        $first = 4 * $start + (int) array_search($from[2], array_keys(self::STEP), true);
        $steps = [[1, 0, 1], [-1, 0, -1], [0, 1, $this->columns], [0, -1, -$this->columns]];
        [$left, $right, $top, $bottom] = $this->window;
        $queue = new \SplPriorityQueue();
        $best = [$first => 0];
        $came = [];
        $far = $this->crowded && abs($sc - $gc) + abs($sr - $gr) > self::FAR ? self::HASTE : 1;
        $queue->insert($first << 20, 0);
        $end = null;
        $most = min($this->steps + self::MOST_FOR_ONE, $this->mostSteps);
        while (! $queue->isEmpty() && $this->steps < $most) {
            $this->steps++;
            $head = $queue->extract();
            $at = $head >> 20;
            $cost = $head & 0xFFFFF;
            if ($cost > $best[$at]) {
                continue;
            }
            $cell = $at >> 2;
            $direction = $at & 3;
            if ($cell === $goal) {
                $end = $at;
                break;
            }
            $c = $cell % $this->columns;
            $r = intdiv($cell, $this->columns);
            $onWire = $cell !== $start && (isset($this->level[$cell]) || isset($this->upright[$cell]));
            foreach ($steps as $next => [$dc, $dr, $step]) {
                if (($next ^ 1) === $direction) { // right and left, down and up differ in their last bit
                    continue;
                }
                [$nc, $nr] = [$c + $dc, $r + $dr];
                if ($nc < $left || $nr < $top || $nc > $right || $nr > $bottom) {
                    continue;
                }
                $n = $cell + $step;
                if (isset($this->walls[$n]) && $n !== $goal) {
                    continue;
                }
                $along = $dr === 0 ? isset($this->level[$n]) : isset($this->upright[$n]);
                $across = $dr === 0 ? isset($this->upright[$n]) : isset($this->level[$n]);
                $bend = $next !== $direction;
                $total =
                    $cost +
                    1 +
                    ($bend ? self::BEND : 0) +
                    ($along || ($bend && $onWire) ? self::ALONG : 0) +
                    ($across ? self::CROSS : 0) +
                    (isset($this->beside[$n]) ? self::HUG : 0) +
                    (isset($this->doorways[$n]) && $n !== $goal ? self::DOORWAY : 0);
                $key = 4 * $n + $next;
                if ($total < ($best[$key] ?? PHP_INT_MAX)) {
                    $best[$key] = $total;
                    $came[$key] = $at;
                    $queue->insert($key << 20 | $total, -($total + $far * (abs($nc - $gc) + abs($nr - $gr))));
                }
            }
        }

        $this->lost = $this->lost || $end === null && $queue->isEmpty();

        return $this->corners($from, $to, $came, $end);
    }

    /**
     * The steps of a way, each by where it is and whether it runs level: two wires with one in common run upon each
     * other.
     *
     * @param list<array{int, int}> $points corners
     * @return list<string>
     */
    public static function cells(array $points): array
    {
        $cells = [];
        foreach (array_slice($points, 1) as $i => [$x, $y]) {
            [$u, $v] = $points[$i];
            for (
                $at = $y === $v ? min($x, $u) : min($y, $v);
                $at < ($y === $v ? max($x, $u) : max($y, $v));
                $at += self::PITCH
            ) {
                $cells[] = $y === $v ? "l$y:$at" : "u$x:$at";
            }
        }

        return $cells;
    }

    /**
     * A way that is kept, or led by hand: others see it.
     *
     * @param list<array{int, int}> $points corners
     */
    public function occupy(array $points): void
    {
        foreach (array_slice($points, 1) as $i => [$x, $y]) {
            [$px, $py] = $points[$i];
            $isLevel = $py === $y;
            [$left, $right, $top, $bottom] = $this->window;
            if (
                $isLevel
                    ? $y < $top * self::PITCH || $y > ($bottom + 1) * self::PITCH
                    : $x < $left * self::PITCH || $x > ($right + 1) * self::PITCH
            ) {
                continue;
            }
            $from = max($isLevel ? $left : $top, intdiv($isLevel ? min($px, $x) : min($py, $y), self::PITCH));
            $to = min($isLevel ? $right : $bottom, intdiv($isLevel ? max($px, $x) : max($py, $y), self::PITCH));
            for ($at = $from; $at <= $to; $at++) {
                $isLevel
                    ? ($this->level[intdiv($y, self::PITCH) * $this->columns + $at] = true)
                    : ($this->upright[$at * $this->columns + intdiv($x, self::PITCH)] = true);
            }
        }
    }

    /**
     * A way through points that a person has chosen, level and upright between them.
     *
     * @param array{int, int, string} $from
     * @param list<array{int, int}> $via
     * @param array{int, int, string} $to
     * @return list<array{int, int}> corners, the ends included
     */
    public function byHand(array $from, array $via, array $to): array
    {
        $points = [[$from[0], $from[1]]];
        foreach ([...$via, [$to[0], $to[1]]] as $i => [$x, $y]) {
            [$px, $py] = $points[count($points) - 1];
            if ($px !== $x && $py !== $y) {
                // the first leg leaves its terminal straight, the others go level first
                $points[] = $i === 0 && in_array($from[2], ['up', 'down'], true) ? [$px, $y] : [$x, $py];
            }
            $points[] = [$x, $y];
        }
        $points = self::simplified($points);
        $this->occupy($points);

        return $points;
    }

    /**
     * @param array{int, int, string} $from
     * @param array{int, int, string} $to
     * @param array<int, int> $came
     * @return list<array{int, int}>
     */
    private function corners(array $from, array $to, array $came, ?int $end): array
    {
        $cells = [];
        for ($at = $end; $at !== null; $at = $came[$at] ?? null) {
            array_unshift($cells, $at >> 2);
        }
        $last = null;
        foreach ($cells as $cell) {
            if ($last !== null) {
                $isLevel = abs($cell - $last) === 1;
                foreach ([$last, $cell] as $used) {
                    $isLevel ? $this->level[$used] = true : $this->upright[$used] = true;
                }
            }
            $last = $cell;
        }
        $points = [[$from[0], $from[1]]];
        foreach ($cells as $i => $cell) {
            $x = ($cell % $this->columns) * self::PITCH;
            $y = intdiv($cell, $this->columns) * self::PITCH;
            // the first and last cell keep the terminal's own line, so that the wire leaves it straight
            if ($i === 0) {
                [$x, $y] = self::inLine($from, $x, $y);
            }
            if ($i === count($cells) - 1) {
                [$x, $y] = self::inLine($to, $x, $y);
            }
            $points[] = [$x, $y];
        }
        $points[] = [$to[0], $to[1]];

        return self::simplified(self::squared($points));
    }

    /**
     * @param array{int, int, string} $terminal
     * @return array{int, int}
     */
    private static function inLine(array $terminal, int $x, int $y): array
    {
        return in_array($terminal[2], ['up', 'down'], true) ? [$terminal[0], $y] : [$x, $terminal[1]];
    }

    /**
     * Where a step is neither level nor upright (a terminal off the grid), a corner is put in.
     *
     * @param list<array{int, int}> $points
     * @return list<array{int, int}>
     */
    private static function squared(array $points): array
    {
        $out = [];
        foreach ($points as $p) {
            $q = $out[count($out) - 1] ?? null;
            if ($q !== null && $q[0] !== $p[0] && $q[1] !== $p[1]) {
                $out[] = [$p[0], $q[1]];
            }
            $out[] = $p;
        }

        return $out;
    }

    /**
     * @param list<array{int, int}> $points
     * @return list<array{int, int}>
     */
    private static function simplified(array $points): array
    {
        $out = [];
        foreach ($points as $p) {
            while (
                ($n = count($out)) >= 2 &&
                (($out[$n - 1][0] === $p[0] && $out[$n - 2][0] === $p[0]) ||
                    ($out[$n - 1][1] === $p[1] && $out[$n - 2][1] === $p[1]))
            ) {
                array_pop($out);
            }
            if ($out === [] || $out[count($out) - 1] !== $p) {
                $out[] = $p;
            }
        }

        return $out;
    }

    /**
     * The first free cell outside a terminal.
     *
     * @param array{int, int, string} $terminal
     * @return array{int, int}
     */
    private function outside(array $terminal): array
    {
        [$x, $y, $edge] = $terminal;
        [$dc, $dr] = self::STEP[$edge];
        $c = (int) round($x / self::PITCH);
        $r = (int) round($y / self::PITCH);
        for ($i = 0; $i < 4 && isset($this->walls[$r * $this->columns + $c]); $i++) {
            $c += $dc;
            $r += $dr;
        }

        return [max(0, min($this->columns - 1, $c)), max(0, min($this->rows - 1, $r))];
    }
}
