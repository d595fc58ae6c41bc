<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Pipe;
use OddSpark\Appliance\Port;

/** Pipes on the board: ports at the edges of parts, and a square way for each pipe, which runs behind the parts. */
final class Pipes
{
    /** How far a pipe goes straight out of a port, in board pixels. */
    private const OUT = 14;

    /**
     * @return list<array{place: string, name: string, label: string, medium: string, x: int, y: int}>
     */
    public static function ports(Model $model, string $part): array
    {
        $kind = $model->kindOf($part);
        $at = $model->part($part)->at ?? [0, 0];

        return array_values(
            array_map(
                fn (Port $port): array => [
                    'place' => "$part.{$port->name}",
                    'name' => $port->name,
                    'label' => $port->label,
                    'medium' => $port->medium->value,
                    'x' => (int) ($at[0] + $port->at[0]),
                    'y' => (int) ($at[1] + $port->at[1]),
                ],
                $kind->ports ?? [],
            ),
        );
    }

    /**
     * @return list<array{id: string, from: string, to: string, medium: string, points: list<array{int, int}>}>
     */
    public static function of(Model $model): array
    {
        $pipes = [];
        foreach ($model->pipes() as $pipe) {
            $ends = self::ends($model, $pipe);
            if ($ends !== null) {
                [$from, $to, $medium] = $ends;
                $pipes[] = [
                    'id' => $pipe->id,
                    'from' => $pipe->from,
                    'to' => $pipe->to,
                    'medium' => $medium,
                    'points' => self::way($from, $to),
                ];
            }
        }

        return $pipes;
    }

    /**
     * @return array{array{int, int, string}, array{int, int, string}, string}|null
     */
    private static function ends(Model $model, Pipe $pipe): ?array
    {
        $ends = [];
        $medium = '';
        foreach ([$pipe->from, $pipe->to] as $place) {
            [$id, $name] = Model::split($place);
            $part = $model->part($id);
            $port = $part?->kind->ports[$name] ?? null;
            if ($part === null || $port === null) {
                return null;
            }
            [$w, $h] = $part->kind->size;
            [$x, $y] = $port->at;
            $edge = match (true) {
                $y <= 0 => 'up', $y >= $h => 'down', $x <= 0 => 'left', $x >= $w => 'right', default => 'up',
            };
            $ends[] = [(int) ($part->at[0] + $x), (int) ($part->at[1] + $y), $edge];
            $medium = $port->medium->value;
        }

        return [$ends[0], $ends[1], $medium];
    }

    /**
     * @param array{int, int, string} $from
     * @param array{int, int, string} $to
     * @return list<array{int, int}>
     */
    private static function way(array $from, array $to): array
    {
        $out = fn (array $end): array => match ($end[2]) {
            'up' => [$end[0], $end[1] - self::OUT],
            'down' => [$end[0], $end[1] + self::OUT],
            'left' => [$end[0] - self::OUT, $end[1]],
            default => [$end[0] + self::OUT, $end[1]],
        };
        [$a, $b] = [$out($from), $out($to)];
        $isUpright = in_array($from[2], ['up', 'down'], true);
        $corner = $isUpright ? [$b[0], $a[1]] : [$a[0], $b[1]];
        $points = [[$from[0], $from[1]], $a, $corner, $b, [$to[0], $to[1]]];
        $way = [];
        foreach ($points as $point) {
            if ($way === [] || end($way) !== $point) {
                $way[] = $point;
            }
        }

        return $way;
    }
}
