<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;

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
                ? "Wire \"$id\" belongs to \"".
                    explode('.', $id)[0].
                    '", which is included: change it there, or leave it out and draw your own.'
                : "There is no wire called \"$id\".",
        );
    }
}
