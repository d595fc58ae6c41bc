<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Wire;

/**
 * The geometry of the board: parts where they sit, terminals, and a way for every wire.
 *
 * It is drawn from the document alone, so that nothing on it can differ because of a fault.
 * Units are board pixels, y downwards.
 */
final class Board
{
    public const WIDTH = 1232;

    public const HEIGHT = 756;

    /** Wires above which a board is a crowded one, which has to be laid out in reasonable time. */
    private const CROWDED = 120;

    /** Board pixels round the ends of new wires in which their ways are looked for on a crowded board. */
    private const AROUND = 140;

    /** Wires at most that are led anew because they came to run upon another. */
    private const LED_ANEW = 12;

    private const MARGIN = 12 * Router::PITCH;

    /**
     * @param array<string, mixed>|null $before the board as it was: a wire that nothing has come in the way of keeps
     *     its way
     * @param int $mostSteps what the routing may cost, see Router
     * @return array{width: int, height: int, parts: list<array<string, mixed>>, wires: list<array<string, mixed>>,
     *     pipes: list<array<string, mixed>>, lanes: list<array{channel: string, name: string, tone: string}>}
     */
    public static function of(Model $model, ?array $before = null, int $mostSteps = Router::MOST_STEPS): array
    {
        [$width, $height] = $model->document['board'] ?? [self::WIDTH, self::HEIGHT];
        $laid = PartBoxes::of($model);
        [$parts, $rectangles, $terminals] = [$laid->parts, $laid->rectangles, $laid->terminals];
        // room for the wires of terminals that look outwards
        $width =
            $rectangles === []
                ? $width
                : max($width, ...array_map(fn (array $r) => $r[0] + $r[2] + self::MARGIN, $rectangles));
        $height =
            $rectangles === []
                ? $height
                : max($height, ...array_map(fn (array $r) => $r[1] + $r[3] + self::MARGIN, $rectangles));
        $order = $model->wires();
        $bundled = Bundles::of($model, $terminals, $rectangles, [$width, $height], $mostSteps);
        $points = array_map(fn (array $way): array => $way['points'], $bundled) +
            self::kept($before, $parts, array_diff_key($order, $bundled), $terminals);
        $open = array_values(array_filter($order, fn (Wire $wire) => ! isset($points[$wire->id])));
        if ($open !== []) {
            $size = [$width, $height];
            $routed = self::routed($model, $open, $points, $terminals, $rectangles, $size, $mostSteps);
            $points = array_replace($points, $routed);
        }
        $wires = [];
        foreach ($order as $wire) {
            $wires[$wire->id] = [
                'id' => $wire->id, 'colour' => $wire->colour, 'from' => $wire->from, 'to' => $wire->to,
                'cable' => $wire->cable, ...($wire->via === [] ? [] : ['hand' => true]),
                'points' => $points[$wire->id],
                ...isset($bundled[$wire->id]) ? ['bundled' => $bundled[$wire->id]['bundled']] : [],
            ];
        }
        ksort($wires);

        return [
            'width' => $width, 'height' => $height, 'parts' => $parts, 'wires' => array_values($wires),
            'pipes' => Pipes::of($model), 'lanes' => $model->tape(),
        ];
    }

    /**
     * Ways for wires that have none yet, beside those that have.
     *
     * @param list<Wire> $open
     * @param array<string, list<array{int, int}>> $kept
     * @param array<string, array{int, int, string}> $terminals
     * @param list<array{int, int, int, int}> $rectangles
     * @param array{int, int} $size of the board
     * @param bool $wide look everywhere
     * @return array<string, list<array{int, int}>>
     */
    private static function routed(
        Model $model,
        array $open,
        array $kept,
        array $terminals,
        array $rectangles,
        array $size,
        int $mostSteps,
        bool $wide = false,
    ): array {
        $crowded = count($model->wires()) > self::CROWDED;
        $ends = array_merge(...array_map(fn (Wire $w) => [$terminals[$w->from], $terminals[$w->to]], $open));
        // on a crowded board a few new ways are looked for where they lie, and no further
        $within =
            $crowded && $kept !== [] && ! $wide
                ? [
                    min(array_column($ends, 0)) - self::AROUND,
                    min(array_column($ends, 1)) - self::AROUND,
                    max(array_column($ends, 0)) + self::AROUND,
                    max(array_column($ends, 1)) + self::AROUND,
                ]
                : null;
        $router = new Router($size[0], $size[1], $rectangles, $crowded, $within, $mostSteps);
        foreach ($crowded ? $model->wires() : [] as $wire) {
            $router->keepFree($terminals[$wire->from]);
            $router->keepFree($terminals[$wire->to]);
        }
        array_walk($kept, fn (array $way) => $router->occupy($way));
        // short ones first: they have the fewest ways to choose from
        usort($open, fn ($a, $b) => self::span($terminals, $a) <=> self::span($terminals, $b));
        $ways = [];
        foreach ($open as $wire) {
            [$from, $to] = [$terminals[$wire->from], $terminals[$wire->to]];
            $via = array_map(fn (array $p) => array_map(PartBoxes::snap(...), $p), $wire->via);
            $ways[$wire->id] = $via === [] ? $router->route($from, $to) : $router->byHand($from, $via, $to);
        }

        if ($crowded && $kept === []) {
            $ways = self::apart($ways, $open, $terminals, $rectangles, $size, $mostSteps - $router->steps);
        }

        return $router->lost && $within !== null
            ? self::routed($model, $open, $kept, $terminals, $rectangles, $size, $mostSteps - $router->steps, true)
            : $ways;
    }

    /**
     * Wires that came to run upon another are led anew, by the very best way beside all the others.
     *
     * @param array<string, list<array{int, int}>> $ways
     * @param array<Wire> $wires
     * @param array<string, array{int, int, string}> $terminals
     * @param list<array{int, int, int, int}> $rectangles
     * @param array{int, int} $size
     * @return array<string, list<array{int, int}>>
     */
    private static function apart(
        array $ways,
        array $wires,
        array $terminals,
        array $rectangles,
        array $size,
        int $mostSteps,
    ): array {
        $byId = array_column($wires, null, 'id');
        $taken = $upon = [];
        foreach ($ways as $id => $points) {
            foreach (Router::cells($points) as $cell) {
                $other = $taken[$cell] ?? null;
                if (
                    $other !== null &&
                    $other !== $id &&
                    array_intersect([$byId[$id]->from, $byId[$id]->to], [$byId[$other]->from, $byId[$other]->to]) === []
                ) {
                    $upon[$id] = true;
                }
                $taken[$cell] ??= (string) $id;
            }
        }
        foreach (array_slice(array_keys($upon), 0, self::LED_ANEW) as $id) {
            if ($mostSteps <= 0) {
                break;
            }
            $router = new Router($size[0], $size[1], $rectangles, mostSteps: $mostSteps);
            foreach ($byId as $wire) {
                $router->keepFree($terminals[$wire->from]);
                $router->keepFree($terminals[$wire->to]);
            }
            foreach (array_diff_key($ways, [$id => 1]) as $points) {
                $router->occupy($points);
            }
            if ($byId[$id]->via === []) {
                $ways[$id] = $router->route($terminals[$byId[$id]->from], $terminals[$byId[$id]->to]);
                $mostSteps -= $router->steps;
            }
        }

        return $ways;
    }

    /**
     * The ways that stay: of wires whose ends are where they were, and that no part has come in the way of.
     *
     * @param array<string, mixed>|null $before
     * @param list<array<string, mixed>> $parts
     * @param array<Wire> $wires
     * @param array<string, array{int, int, string}> $terminals
     * @return array<string, list<array{int, int}>>
     */
    private static function kept(?array $before, array $parts, array $wires, array $terminals): array
    {
        if ($before === null) {
            return [];
        }
        $box = fn (array $p): array => [$p['x'], $p['y'], $p['w'], $p['h']];
        $stood = array_map($box, array_column($before['parts'], null, 'id'));
        $new = array_filter(
            array_map($box, array_column($parts, null, 'id')),
            fn (array $b, string $id) => ($stood[$id] ?? null) !== $b,
            ARRAY_FILTER_USE_BOTH,
        );
        $old = array_column($before['wires'], null, 'id');
        $kept = [];
        foreach ($wires as $wire) {
            $was = $old[$wire->id] ?? null;
            if (
                $was === null ||
                $wire->via !== [] ||
                ($was['hand'] ?? false) ||
                [$was['from'], $was['to']] !== [$wire->from, $wire->to]
            ) {
                continue;
            }
            $ends = array_map(fn (string $place) => array_slice($terminals[$place], 0, 2), [$wire->from, $wire->to]);
            $clear = array_filter($new, fn (array $b) => self::passes($was['points'], $b)) === [];
            if ([$was['points'][0], $was['points'][count($was['points']) - 1]] === $ends && $clear) {
                $kept[$wire->id] = $was['points'];
            }
        }

        return $kept;
    }

    /**
     * @param list<array{int, int}> $points
     * @param array{int, int, int, int} $box
     */
    private static function passes(array $points, array $box): bool
    {
        foreach (array_slice($points, 1) as $i => [$x, $y]) {
            [$px, $py] = $points[$i];
            if (
                max($px, $x) > $box[0] &&
                min($px, $x) < $box[0] + $box[2] &&
                max($py, $y) > $box[1] &&
                min($py, $y) < $box[1] + $box[3]
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<string, array{int, int, string}> $terminals
     */
    private static function span(array $terminals, Wire $wire): int
    {
        [$a, $b] = [$terminals[$wire->from], $terminals[$wire->to]];

        return abs($a[0] - $b[0]) + abs($a[1] - $b[1]);
    }
}
