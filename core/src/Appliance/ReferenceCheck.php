<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;
use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;
use OddSpark\Trade\Conductor;
use OddSpark\Words\Words;

/**
 * What a schema cannot say of a model: that the things it names are there.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type TableDocument from Table
 */
final class ReferenceCheck
{
    /**
     * @param ModelDocument $d
     *
     * @throws DocumentError when two parts have one name
     */
    public static function names(array $d): void
    {
        $taken = [];
        foreach ($d['parts'] as $i => $part) {
            if (isset($taken[$part['id']])) {
                throw new DocumentError("/parts/$i/id", Words::say('appliance.reference_check.two_parts_are_called', [
                    'id' => $part['id'],
                ]));
            }
            $taken[$part['id']] = true;
        }
    }

    /**
     * @param ModelDocument $d a resolved model document
     *
     * @throws DocumentError
     */
    public static function check(array $d): void
    {
        $parts = [];
        foreach ($d['parts'] as $i => $part) {
            $parts[$part['id']] = $d['kinds'][$part['kind']];
            foreach ($parts[$part['id']]['primitives'] as $name => $primitive) {
                if (! isset(Primitives::TYPES[$primitive['type']])) {
                    throw new DocumentError(
                        "/kinds/{$part['kind']}/primitives/$name/type",
                        Words::say('appliance.reference_check.there_is_no_primitive_called', [
                            'type' => $primitive['type'],
                        ]),
                    );
                }
            }
        }
        foreach ($d['kinds'] as $kind => $k) {
            foreach ($k['primitives'] as $name => $primitive) {
                if ($primitive['type'] === 'control') {
                    self::table("/kinds/$kind/primitives/$name/table", $primitive['table'], $primitive);
                }
            }
        }
        foreach ($d['parts'] as $i => $part) {
            foreach ($part['params'] ?? [] as $name => $params) {
                if (isset($params['overrides'])) {
                    $primitive = $d['kinds'][$part['kind']]['primitives'][$name];
                    self::table(
                        "/parts/$i/params/$name",
                        $primitive['table'],
                        array_replace_recursive($primitive, array_diff_key($params, ['overrides' => 1])),
                        $params['overrides'],
                    );
                }
            }
        }
        foreach ($d['process'] as $id => $element) {
            if (! isset(Primitives::TYPES[$element['type']])) {
                throw new DocumentError(
                    "/process/$id/type",
                    Words::say('appliance.reference_check.there_is_no_process_called', [
                        'type' => $element['type'],
                    ]),
                );
            }
        }
        $place = function (string $pointer, string $at) use ($parts): void {
            [$part, $terminal] = Model::split($at);
            if (! isset($parts[$part])) {
                throw new DocumentError($pointer, Words::say('appliance.reference_check.there_is_no_part_called', [
                    'part' => $part,
                ]));
            }
            if (! isset($parts[$part]['terminals'][$terminal])) {
                throw new DocumentError(
                    $pointer,
                    Words::say('appliance.reference_check.has_no_terminal_it_has', [
                        'part' => $part,
                        'terminal' => $terminal,
                        'terminals' => implode(', ', array_keys($parts[$part]['terminals'])),
                    ]),
                );
            }
        };
        $orInside = function (string $pointer, string $at) use ($parts, $place): void {
            [$part, $name] = Model::split($at);
            if (! in_array($name, $parts[$part]['inside'] ?? [], true)) {
                $place($pointer, $at);
            }
        };
        $wires = [];
        foreach ($d['wires'] as $i => $wire) {
            $id = $wire['id'];
            if (isset($wires[$id]) || isset($parts[$id])) {
                throw new DocumentError(
                    "/wires/$i/id",
                    Words::say('appliance.reference_check.something_else_is_called_already', [
                        'id' => $id,
                    ]),
                );
            }
            $wires[$id] = true;
            $place("/wires/$i/from", $wire['from']);
            $place("/wires/$i/to", $wire['to']);
            if (isset($wire['cable']) && ! in_array($wire['cable'], array_column($d['cables'] ?? [], 'id'), true)) {
                throw new DocumentError(
                    "/wires/$i/cable",
                    Words::say('appliance.reference_check.there_is_no_cable_called', [
                        'cable' => $wire['cable'],
                    ]),
                );
            }
            if (isset($wire['near'])) {
                $place("/wires/$i/near", $wire['near']);
            }
            if (isset($wire['awg'], $wire['feet']) === isset($wire['mm2'], $wire['metres'])) {
                throw new DocumentError(
                    "/wires/$i",
                    Words::say('appliance.reference_check.wire_needs_a_gauge_with', ['id' => $id]),
                );
            }
            try {
                Conductor::ohms($wire['awg'] ?? 18, 1);
            } catch (\DomainException $e) {
                throw new DocumentError("/wires/$i/awg", $e->getMessage());
            }
            foreach ($wire['modes'] ?? [] as $j => $mode) {
                if (! isset($d['universe']['wire_modes'][$mode])) {
                    throw new DocumentError(
                        "/wires/$i/modes/$j",
                        Words::say('appliance.reference_check.there_is_no_wire_fault', ['mode' => $mode]),
                    );
                }
            }
        }
        foreach ($d['pipes'] ?? [] as $i => $pipe) {
            if (isset($wires[$pipe['id']]) || isset($parts[$pipe['id']])) {
                throw new DocumentError(
                    "/pipes/$i/id",
                    Words::say('appliance.reference_check.something_else_is_called_already', [
                        'id' => $pipe['id'],
                    ]),
                );
            }
            $wires[$pipe['id']] = true;
        }
        foreach ($d['taps'] ?? [] as $id => $tap) {
            [$of, $felt] = Model::split($tap['of']);
            if (! isset($d['process'][$tap['of']]) && ! isset($parts[$of]['primitives'][$felt])) {
                throw new DocumentError(
                    "/taps/$id/of",
                    Words::say('appliance.reference_check.there_is_no_process_called_2', [
                        'of' => $tap['of'],
                    ]),
                );
            }
            if (! isset($parts[$tap['part']])) {
                throw new DocumentError(
                    "/taps/$id/part",
                    Words::say('appliance.reference_check.there_is_no_part_called', [
                        'part' => $tap['part'],
                    ]),
                );
            }
        }
        foreach ($d['percepts'] ?? [] as $name => $percept) {
            if ($percept['sense'] === 'sight' && ! isset($parts[$percept['part'] ?? ''])) {
                throw new DocumentError(
                    "/percepts/$name/part",
                    Words::say('appliance.reference_check.a_sight_is_seen_by'),
                );
            }
        }
        if (isset($d['plate']) && ! isset($parts[$d['plate']['part']])) {
            throw new DocumentError('/plate/part', Words::say('appliance.reference_check.there_is_no_part_called', [
                'part' => $d['plate']['part'],
            ]));
        }
        PlacementCheck::neighbours($d);
        PlacementCheck::van($d, $parts);
        foreach ($d['as_built'] ?? [] as $i => $built) {
            [$wire, $end] = isset($built['end']) ? Model::split($built['end']) : [$built['wire'], 'a'];
            if (! isset($wires[$wire]) || ! in_array($end, ['a', 'b'], true)) {
                throw new DocumentError(
                    "/as_built/$i",
                    Words::say('appliance.reference_check.there_is_no_wire_or', ['end' => $built['end'] ?? $wire]),
                );
            }
            if (isset($built['on'])) {
                $place("/as_built/$i/on", $built['on']);
            }
        }
        foreach ($d['found'] ?? [] as $i => $found) {
            foreach ($found['jumper'] ?? (isset($found['on']) ? [$found['on']] : []) as $at) {
                $place("/found/$i", $at);
            }
            $ends = $found['swapped'] ?? (isset($found['end']) ? [$found['end']] : []);
            foreach ($ends as $at) {
                [$wire, $end] = Model::split($at);
                if (! isset($wires[$wire]) || ! in_array($end, ['a', 'b'], true)) {
                    throw new DocumentError("/found/$i", Words::say('appliance.reference_check.there_is_no_wire_end', [
                        'at' => $at,
                    ]));
                }
            }
            if ($ends === [] ? ! isset($parts[$found['part']]) : $found['part'] !== Model::split($ends[0])[0]) {
                throw new DocumentError(
                    "/found/$i/part",
                    Words::say('appliance.reference_check.must_be_the_part_that'),
                );
            }
        }
        foreach ($d['views'] ?? [] as $i => $view) {
            foreach ($view as $j => $part) {
                if (! isset($parts[$part])) {
                    throw new DocumentError(
                        "/views/$i/$j",
                        Words::say('appliance.reference_check.there_is_no_part_called', [
                            'part' => $part,
                        ]),
                    );
                }
            }
        }
        foreach ($d['joined'] ?? [] as $i => $group) {
            foreach ($group as $j => $at) {
                $orInside("/joined/$i/$j", $at);
            }
        }
    }

    /**
     * @param TableDocument $table
     * @param Figures $control
     * @param Changes $lines that a part overrides
     */
    private static function table(string $pointer, array $table, array $control, array $lines = []): void
    {
        try {
            (new Table(Table::with($table, $lines)))->check(array_map('strval', array_keys($control['inputs'])));
        } catch (TableError $e) {
            throw new DocumentError($pointer.$e->pointer, $e->sentence);
        }
    }
}
