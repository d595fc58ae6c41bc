<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Model;
use OddSpark\Wiring\Nets;

/**
 * The wiring read as a ladder: for each supply its hot side at the left and its return at the right, and between
 * them one rung for each path from the one through switches and a load to the other.
 *
 * Derived by rule from the document alone, never drawn by hand; it shows the appliance as documented. A
 * transformer counts twice: its primary is a load of one circuit, its secondary the supply of the next. What carries
 * no current for a load (feeds of a flame rod, bonds, run capacitors) is on the board and not here.
 */
final class Ladder
{
    /** Paths to one load that are drawn. */
    private const PATHS = 6;

    private const LEFT = 24;

    private const WIDTH = 1180;

    private const RUNG = 74;

    private const HEAD = 46;

    private const LOAD_WIDTH = 170;

    private readonly Nets $nets;

    private function __construct(private readonly Model $model)
    {
        $this->nets = new Nets($model);
    }

    /**
     * @return array{width: int, height: int, circuits: list<array{title: string, hot: string, return: string, y: int,
     *     height: int, rungs: list<array<string, mixed>>}>}
     *     a rung has its y, its load's part, whether the load stands on a rung above already, and its elements in
     * order:
     *     part, title, load, a and b (places), x and w; its links are the wires before, between and after them
     */
    public static function of(Model $model): array
    {
        return (new self($model))->drawn();
    }

    /** @return array<string, mixed> */
    private function drawn(): array
    {
        $circuits = [];
        $y = 0;
        foreach (
            array_filter(
                $this->nets->supplies(),
                fn (array $s) => in_array($s['class'], ['line', 'control', 'millivolt'], true),
            ) as $supply
        ) {
            $paths = $this->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']));
            if ($paths === []) {
                continue;
            }
            $rungs = [];
            $seen = [];
            foreach ($paths as $path) {
                $load = $path[(int) array_key_first(array_filter($path, fn (array $e) => $e['load']))];
                $key = "{$load['part']}.{$load['name']}";
                $ends = [
                    $supply['hot'],
                    ...array_merge(...array_map(fn (array $e) => [$e['a'], $e['b']], $path)),
                    $supply['return'],
                ];
                $rungs[] = [
                    'y' => $y + self::HEAD + self::RUNG * count($rungs) + intdiv(self::RUNG, 2),
                    'load' => $load['part'],
                    'again' => isset($seen[$key]),
                    'elements' => $this->placed($path),
                    'links' => array_map(
                        fn (array $pair) => $this->nets->along($pair[0], $pair[1]),
                        array_chunk($ends, 2),
                    ),
                ];
                $seen[$key] = true;
            }
            $height = self::HEAD + self::RUNG * count($rungs) + 10;
            $circuits[] = [
                'title' => $supply['title'],
                'hot' => $supply['hot'],
                'return' => $supply['return'],
                'y' => $y,
                'height' => $height,
                'rungs' => $rungs,
            ];
            $y += $height;
        }

        return ['width' => self::WIDTH, 'height' => max(1, $y), 'circuits' => $circuits];
    }

    /**
     * Every path from the one side to the other as it is drawn.
     *
     * @return list<list<array{part: string, name: string, a: string, b: string, load: bool}>>
     */
    private function paths(string $hot, string $return): array
    {
        return array_map($this->outside(...), array_merge(...array_values(array_map(
            fn (array $ways) => array_slice($ways, 0, self::PATHS), $this->nets->paths($hot, $return),
        ))));
    }

    /**
     * A path without what lies inside the load's own part, such as the thermal link of a transformer.
     *
     * @param list<array{part: string, name: string, a: string, b: string, load: bool}> $path
     * @return list<array{part: string, name: string, a: string, b: string, load: bool}>
     */
    private function outside(array $path): array
    {
        $at = (int) array_key_first(array_filter($path, fn (array $e) => $e['load']));
        while ($at > 0 && $path[$at - 1]['part'] === $path[$at]['part'] && ! $this->isTerminal($path[$at]['a'])) {
            $path[$at]['a'] = $path[$at - 1]['a'];
            array_splice($path, $at - 1, 1);
            $at--;
        }

        return $path;
    }

    private function isTerminal(string $place): bool
    {
        [$part, $terminal] = Model::split($place);

        return isset($this->model->kindOf($part)->terminals[$terminal]);
    }

    /**
     * Elements with their places along the rung: switches from the left, the load and what follows it at the right.
     *
     * @param list<array{part: string, name: string, a: string, b: string, load: bool}> $path
     * @return list<array<string, mixed>>
     */
    private function placed(array $path): array
    {
        $load = (int) array_key_first(array_filter($path, fn (array $e) => $e['load']));
        $after = count($path) - 1 - $load;
        $right = self::WIDTH - self::LEFT - 30;
        $room = $right - self::LEFT - 30 - self::LOAD_WIDTH;
        $step = (int) floor($room / max(1, $load + $after));
        $w = min(150, $step - 16);
        $placed = [];
        foreach ($path as $i => $e) {
            $placed[] = [
                'part' => $e['part'],
                'title' => $this->nets->title($e),
                'load' => $e['load'],
                'a' => $e['a'],
                'b' => $e['b'],
                'x' => match (true) {
                    $i < $load => self::LEFT + 30 + $i * $step,
                    $i === $load => $right - self::LOAD_WIDTH - $after * $step,
                    default => $right - ($after - ($i - $load - 1)) * $step + 16,
                },
                'w' => $e['load'] ? self::LOAD_WIDTH : $w,
            ];
        }

        return $placed;
    }
}
