<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Words\Words;

/** Where the terminals of a custom part lie, and how large it is for them. */
final class TerminalEdges
{
    private const PITCH = 28;

    /**
     * Terminals along their edges, and the size of the part that holds them.
     *
     * @param list<array{name: string, edge: string}> $said
     * @return array{array{int, int}, array<string, array{at: array{int, int}}>}
     */
    public static function laidOut(array $said): array
    {
        $edges = ['up' => [], 'down' => [], 'left' => [], 'right' => []];
        foreach ($said as $i => $t) {
            if (preg_match('/^[A-Za-z0-9-]{1,8}$/', $t['name']) !== 1) {
                throw new EditError(
                    "/terminals/$i/name",
                    Words::say('building.own_kind.a_terminal_has_one_to', ['name' => $t['name']]),
                );
            }
            if (in_array($t['name'], array_merge(...array_values($edges)), true)) {
                throw new EditError("/terminals/$i/name", Words::say('building.own_kind.two_terminals_are_called', [
                    'name' => $t['name'],
                ]));
            }
            isset($edges[$t['edge']]) || throw new EditError(
                "/terminals/$i/edge",
                Words::say('building.own_kind.must_be_up_down_left'),
            );
            $edges[$t['edge']][] = $t['name'];
        }
        $w = max(112, self::PITCH * (1 + max(count($edges['up']), count($edges['down']))));
        $h = max(84, self::PITCH * (1 + max(count($edges['left']), count($edges['right']))));
        $terminals = [];
        foreach ($edges as $edge => $names) {
            foreach ($names as $i => $name) {
                $along = (int) round(
                    (($i + 1) * (in_array($edge, ['up', 'down'], true) ? $w : $h)) / (count($names) + 1),
                );
                $terminals[$name] = [
                    'at' => match ($edge) {
                        'up' => [$along, 0],
                        'down' => [$along, $h],
                        'left' => [0, $along],
                        default => [$w, $along],
                    },
                ];
            }
        }

        return [[$w, $h], $terminals];
    }
}
