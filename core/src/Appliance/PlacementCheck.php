<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * Whether parts in the van and wires beside each other are where they can be.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class PlacementCheck
{
    /**
     * What is in the van has no wire on it yet, and sits in no pipe: it is joined to nothing but what it will feel.
     *
     * @param ModelDocument $d
     * @param array<string, array<string, mixed>> $parts kinds by part
     */
    public static function van(array $d, array $parts): void
    {
        $van = array_column(array_filter($d['parts'], fn (array $p): bool => $p['van'] ?? false), 'label', 'id');
        foreach ($d['wires'] as $i => $wire) {
            foreach (['from', 'to'] as $end) {
                $label = $van[Model::split($wire[$end])[0]] ?? null;
                if ($label !== null) {
                    throw new DocumentError("/wires/$i/$end", Words::say('appliance.reference_check.is_in_the_van_no', [
                        'label' => $label,
                    ]));
                }
            }
        }
        foreach ($d['pipes'] ?? [] as $i => $pipe) {
            foreach (['from', 'to'] as $end) {
                [$part, $port] = Model::split($pipe[$end]);
                $medium = $parts[$part]['ports'][$port]['medium'] ?? null;
                if (isset($van[$part]) && ! in_array($medium, ['heat', 'flame'], true)) {
                    throw new DocumentError(
                        "/pipes/$i/$end",
                        Words::say('appliance.reference_check.is_in_the_van_only', [
                            'van' => $van[$part],
                            'medium' => $medium,
                        ]),
                    );
                }
            }
        }
    }

    /**
     * A wire can touch what lies beside it: metal of the cabinet, or a conductor of its own cable.
     *
     * @param ModelDocument $d
     */
    public static function neighbours(array $d): void
    {
        $kinds = array_column($d['parts'], 'kind', 'id');
        foreach ($d['wires'] as $i => $wire) {
            if (! isset($wire['near']) || $d['kinds'][$kinds[Model::split($wire['near'])[0]]]['family'] === 'ground') {
                continue;
            }
            if (! Removal::hasBeside($d['wires'], $wire)) {
                throw new DocumentError(
                    "/wires/$i/near",
                    Words::say('appliance.reference_check.wire_does_not_lie_beside', [
                        'id' => $wire['id'],
                        'near' => $wire['near'],
                    ]),
                );
            }
        }
    }
}
