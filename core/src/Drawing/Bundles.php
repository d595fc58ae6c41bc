<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Wire;

/**
 * Runs that hide which wire is which: each goes a little way by itself, then in one line with the others of its cable,
 * and comes out again at its other end.
 */
final readonly class Bundles
{
    /** Board pixels from a part at which its wires come together. */
    private const OUT = 4 * Router::PITCH;

    /**
     * @param array<string, array{int, int, string}> $terminals x, y and edge, by place
     */
    private function __construct(private Router $router, private array $terminals) {}

    /**
     * @param array<string, array{int, int, string}> $terminals
     * @param list<array{int, int, int, int}> $rectangles parts
     * @param array{int, int} $size of the board
     * @return array<string, array{points: list<array{int, int}>, bundled: array{int, int}}> by wire; bundled: from
     *     which to which of its points it cannot be seen
     */
    public static function of(Model $model, array $terminals, array $rectangles, array $size, int $mostSteps): array
    {
        $ways = [];
        $hidden = array_filter($model->cables(), fn (array $cable): bool => $cable['hidden'] ?? false);
        if ($hidden === []) {
            return [];
        }
        $self = new self(new Router($size[0], $size[1], $rectangles, mostSteps: $mostSteps), $terminals);
        foreach ($hidden as $cable) {
            $ways += $self->bundle(array_filter(
                $model->wires(),
                fn (Wire $wire): bool => $wire->cable === $cable['id'] && count(array_unique($wire->parts())) === 2,
            ));
        }

        return $ways;
    }

    /**
     * @param array<string, Wire> $wires
     * @return array<string, array{points: list<array{int, int}>, bundled: array{int, int}}>
     */
    private function bundle(array $wires): array
    {
        $ends = [];
        foreach ($wires as $wire) {
            foreach (['a', 'b'] as $end) {
                $ends[Model::split($wire->at($end))[0]][] = $this->terminals[$wire->at($end)];
            }
        }
        $mouths = array_map($this->mouth(...), $ends);
        if (count($mouths) < 2) {
            return [];
        }
        $runs = $this->runs($mouths);
        $ways = [];
        foreach ($wires as $id => $wire) {
            [$from, $to] = $wire->parts();
            [$in, $goesIn] = $this->stub($this->terminals[$wire->from], $mouths[$from]);
            [$out, $comesOut] = $this->stub($this->terminals[$wire->to], $mouths[$to]);
            $points = [...$in, ...array_slice($runs[$from][$to], 1, -1), ...array_reverse($out)];
            $ways[$id] = ['points' => $points, 'bundled' => [$goesIn, count($points) - 1 - $comesOut]];
        }

        return $ways;
    }

    /**
     * Where the wires of a part come together: off the side on which most of them are.
     *
     * @param list<array{int, int, string}> $terminals
     * @return array{int, int, string}
     */
    private function mouth(array $terminals): array
    {
        $sides = array_count_values(array_column($terminals, 2));
        arsort($sides);
        $side = (string) array_key_first($sides);
        $there = array_values(array_filter($terminals, fn (array $t): bool => $t[2] === $side));
        [$xs, $ys] = [array_column($there, 0), array_column($there, 1)];
        [$x, $y] = array_map(fn (array $v): int => PartBoxes::snap(array_sum($v) / count($v)), [$xs, $ys]);

        return match ($side) {
            'up' => [$x, min($ys) - self::OUT, $side],
            'down' => [$x, max($ys) + self::OUT, $side],
            'left' => [min($xs) - self::OUT, $y, $side],
            default => [max($xs) + self::OUT, $y, $side],
        };
    }

    /**
     * The line of the bundle between the mouths of any two parts: all by way of one spot when there are more.
     *
     * @param array<string, array{int, int, string}> $mouths by part
     * @return array<string, array<string, list<array{int, int}>>>
     */
    private function runs(array $mouths): array
    {
        $parts = array_keys($mouths);
        $spot = count($parts) === 2 ? $mouths[$parts[1]] : $mouths[$parts[intdiv(count($parts), 2)]];
        $to = [];
        foreach ($mouths as $part => $mouth) {
            $to[$part] = $mouth === $spot ? [[$mouth[0], $mouth[1]]] : $this->router->route($mouth, $spot);
        }
        $runs = [];
        foreach ($parts as $one) {
            foreach ($parts as $other) {
                $runs[$one][$other] = [...$to[$one], ...array_slice(array_reverse($to[$other]), 1)];
            }
        }

        return $runs;
    }

    /**
     * From a terminal straight out, and along to where the others are.
     *
     * @param array{int, int, string} $terminal
     * @param array{int, int, string} $mouth
     * @return array{list<array{int, int}>, int} and at which of its points it is one of many
     */
    private function stub(array $terminal, array $mouth): array
    {
        [$x, $y, $side] = $terminal;
        [$mx, $my, $main] = $mouth;
        if ($side !== $main) { // round the corner of its part
            $way = $this->router->route($terminal, $mouth);

            return [$way, count($way) - 1];
        }
        $corner = in_array($side, ['up', 'down'], true) ? [$x, $my] : [$mx, $y];

        return [array_values(array_unique([[$x, $y], $corner, [$mx, $my]], SORT_REGULAR)), 1];
    }
}
