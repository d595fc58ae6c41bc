<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * Edits that find a part by its name and change it.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 */
abstract readonly class OnParts
{
    public function __construct(protected Library $library) {}

    /**
     * @param ModelDocument $d
     * @param callable(PartDocument): PartDocument $change
     * @return ModelDocument
     */
    protected function changed(array $d, string $id, callable $change): array
    {
        $this->part($d, $id);
        foreach ($d['parts'] as $i => $part) {
            if ($part['id'] === $id) {
                $d['parts'][$i] = $change($part);
            }
        }

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @return PartDocument
     */
    protected function part(array $d, string $id): array
    {
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                return $part;
            }
        }
        throw new EditError(
            '/part',
            in_array(explode('.', $id)[0], array_column($d['includes'] ?? [], 'id'), true)
                ? Words::say('building.on_parts.belongs_to_which_is_included', [
                    'id' => $id,
                    'what' => explode('.', $id)[0],
                ])
                : Words::say('building.on_parts.there_is_no_part_called', ['id' => $id]),
        );
    }

    /**
     * @param ModelDocument $d
     * @return KindDocument
     */
    protected function kindOf(array $d, string $id): array
    {
        $kind = $this->part($d, $id)['kind'];

        return $d['kinds'][$kind] ?? $this->library->kind($kind);
    }
}
