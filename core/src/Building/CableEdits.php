<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * Wires put into a cable, where they lie side by side, and whether they can be seen there.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class CableEdits
{
    /**
     * @param ModelDocument $d
     * @param Edit $e checked
     * @return ModelDocument
     *
     * @throws EditError
     */
    public function cable(array $d, array $e): array
    {
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,40}$/', $e['id']) !== 1) {
            throw new EditError('/id', Words::say('building.cable_edits.a_cable_s_name_is'));
        }
        foreach ($e['wires'] as $wire) {
            $d = WireChange::of($d, $wire, fn (array $w) => ['cable' => $e['id']] + $w);
        }
        $cables = array_column($d['cables'] ?? [], null, 'id');
        $feet =
            $e['feet'] ??
            ($cables[$e['id']]['feet'] ??
                max(
                    array_map(
                        fn (array $w) => $w['feet'] ?? $w['metres'] / 0.3048,
                        array_filter($d['wires'], fn (array $w) => ($w['cable'] ?? null) === $e['id']),
                    ),
                ));
        // capacitance and leakage between conductors of thermostat cable: common practice, no source
        $usual = ['id' => $e['id'], 'feet' => $feet, 'pf_per_ft' => 25, 'leak_megohm' => 200];
        $cables[$e['id']] = array_replace($usual, $cables[$e['id']] ?? [], ['feet' => $feet]);
        $run = $e['run'] ?? null;
        if ($run === 'hidden') {
            $cables[$e['id']]['hidden'] = true;
        } elseif ($run === 'open') {
            unset($cables[$e['id']]['hidden']);
        }
        $used = array_column($d['wires'], 'cable');

        return ['cables' => array_values(array_filter($cables, fn (array $c) => in_array($c['id'], $used, true)))] + $d;
    }
}
