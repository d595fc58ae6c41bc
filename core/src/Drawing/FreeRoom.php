<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

/**
 * What room a part has left between what is drawn and written in it.
 *
 * @phpstan-import-type Box from Lettering
 */
final class FreeRoom
{
    /** Steps in which room is looked for. */
    public const STEP = 4.0;

    public const GAP = 2.0;

    /** @var list<Box> */
    private array $taken = [];

    public function __construct(private readonly int $w, private readonly int $h) {}

    /** @param Box $box on which something stands from now on */
    public function take(array $box): void
    {
        $this->taken[] = $box;
    }

    /** @return list<Box> */
    public function taken(): array
    {
        return $this->taken;
    }

    /** @param list<Box> $boxes all on which something stands */
    public function takeOnly(array $boxes): void
    {
        $this->taken = $boxes;
    }

    /**
     * The middle of free room of a size within the part, as near to a point as there is.
     *
     * @param array{float, float} $size
     * @param array{float|int, float|int} $near
     * @param float $edge kept free round it within the part
     * @param float $step in which it is looked for
     * @return array{float, float}|null
     */
    public function near(array $size, array $near, float $edge = self::GAP, float $step = self::STEP): ?array
    {
        [$w, $h] = [$size[0] / 2 + $edge, $size[1] / 2 + $edge];
        $rows = self::steps($h, $this->h - $h, (float) $near[1], $step);
        $best = null;
        foreach (self::steps($w, $this->w - $w, (float) $near[0], $step) as $x) {
            $aside = abs($x - $near[0]);
            if ($best !== null && $aside >= $best[0]) {
                continue;
            }
            [$left, , $right] = self::box([$x, 0.0], $size);
            $inTheWay = []; // above and below one another here: top and bottom of each
            foreach ($this->taken as $t) {
                if ($right > $t[0] && $left < $t[2]) {
                    $inTheWay[] = [$t[1], $t[3]];
                }
            }
            foreach ($rows as $y) {
                $cost = $aside + 1.5 * abs($y - $near[1]);
                if ($best !== null && $cost >= $best[0]) {
                    continue;
                }
                [$top, $bottom] = [$y - $size[1] / 2, $y + $size[1] / 2];
                foreach ($inTheWay as [$from, $to]) {
                    if ($bottom > $from && $top < $to) {
                        continue 2;
                    }
                }
                $best = [$cost, [$x, $y]];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * @param array{float, float} $size
     * @return array{float, float} a corner on which no terminal sits
     */
    public function corner(array $size, int $skip): array
    {
        $corners = [[$this->w - 8.0, 4.0], [8.0, 4.0], [$this->w - 8.0, $this->h - 4.0], [8.0, $this->h - 4.0]];
        $costs = array_map(fn (array $at) => $this->overlap(self::box($at, $size)), $corners);
        asort($costs);

        return $corners[array_keys($costs)[$skip % 4]];
    }

    /**
     * Square pixels of a box on which something stands.
     *
     * @param Box $box
     */
    public function overlap(array $box): float
    {
        $sum = 0.0;
        foreach ($this->taken as $t) {
            $w = min($box[2], $t[2]) - max($box[0], $t[0]);
            $h = min($box[3], $t[3]) - max($box[1], $t[1]);
            $sum += $w > 0 && $h > 0 ? $w * $h : 0.0;
        }

        return $sum;
    }

    /** @return list<float> points from one to the other, the wished one among them when it lies between */
    private static function steps(float $from, float $to, float $wished, float $step): array
    {
        if ($from > $to) {
            return [];
        }
        $steps = $wished >= $from && $wished <= $to ? [$wished] : [];
        for ($v = $from; $v <= $to; $v += $step) {
            $steps[] = $v;
        }
        $steps[] = $to;

        return $steps;
    }

    /**
     * @param array{float, float} $middle
     * @param array{float, float} $size
     * @return Box
     */
    public static function box(array $middle, array $size): array
    {
        return [
            $middle[0] - $size[0] / 2, $middle[1] - $size[1] / 2, $middle[0] + $size[0] / 2, $middle[1] + $size[1] / 2,
        ];
    }
}
