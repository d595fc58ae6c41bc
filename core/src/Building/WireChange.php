<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * One wire of a document changed.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 */
final class WireChange
{
    /**
     * @param ModelDocument $d
     * @param callable(WireDocument): WireDocument $change
     * @return ModelDocument
     *
     * @throws EditError when there is no such wire
     */
    public static function of(array $d, string $id, callable $change): array
    {
        foreach ($d['wires'] as $i => $wire) {
            if ($wire['id'] === $id) {
                $d['wires'][$i] = $change($wire);

                return $d;
            }
        }
        throw new EditError(
            '/wire',
            in_array(explode('.', $id)[0], array_column($d['includes'] ?? [], 'id'), true)
                ? Words::say('building.wire_change.wire_belongs_to_which_is', [
                    'id' => $id,
                    'what' => explode('.', $id)[0],
                ])
                : Words::say('building.wire_change.there_is_no_wire_called', ['id' => $id]),
        );
    }
}
