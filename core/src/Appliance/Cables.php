<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;

/**
 * The conductors of a cable couple with each other, those side by side the most; that is where ghost volts come from.
 *
 * @phpstan-import-type CableDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final class Cables
{
    /** Share of the coupling that is left between conductors that do not lie side by side. From memory. */
    private const APART = 0.4;

    /**
     * @param CableDocument $cable
     * @param list<WireDocument> $wires of the model
     * @return array<string, array{type: string, spec: Figures, scope: string, local: list<string>}> by id
     */
    public static function couplings(array $cable, array $wires): array
    {
        $conductors = array_values(array_filter($wires, fn ($w) => ($w['cable'] ?? null) === $cable['id']));
        $couplings = [];
        foreach ($conductors as $i => $one) {
            foreach (array_slice($conductors, $i + 1) as $j => $other) {
                $share = ($j === 0 ? 1.0 : self::APART) / 2;
                foreach (['a', 'b'] as $end) { // half at each end: either may be loose, or cut off
                    $couplings["{$cable['id']}.{$one['id']}-{$other['id']}.$end"] = [
                        'type' => 'capacitor',
                        'spec' => [
                            'type' => 'capacitor',
                            'between' => ["{$one['id']}.$end", "{$other['id']}.$end"],
                            'microfarad' => $share * $cable['pf_per_ft'] * $cable['feet'] * 1e-6,
                            'leak_ohm' => 2 * $cable['leak_megohm'] * 1e6,
                        ],
                        'scope' => '',
                        'local' => [],
                    ];
                }
            }
        }

        return $couplings;
    }
}
