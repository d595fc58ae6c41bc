<?php

declare(strict_types=1);

namespace OddSpark\Faults;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * What somebody before has left behind, as a fault: jumpers, swapped and misplaced wires, wrong spares.
 *
 * @phpstan-import-type FoundDocument from Shapes
 */
final class LeftBehind
{
    /**
     * What somebody did before this visit, which no drawing shows: a jumper, or a wire on the wrong terminal.
     *
     * @param FoundDocument $found
     * @param array<string, float> $overrides
     */
    public static function asFault(Model $model, array $found, array $overrides): Fault
    {
        $id = "{$found['part']}:{$found['mode']}";
        $weight = $overrides[$id] ?? $found['weight'];
        if (isset($found['jumper'])) {
            [$a, $b] = $found['jumper'];
            $title = Words::say('faults.fault_set.an_earlier_jumper_from_to', [
                'label' => $model->parts()[$found['part']]->label,
                'place_name' => $model->placeName($a),
                'place_name_2' => $model->placeName($b),
            ]);

            return new Fault(
                $id,
                $found['part'],
                $found['mode'],
                null,
                $title,
                'found',
                [],
                $weight,
                'unjump',
                jumpers: [[$a, $b]],
            );
        }
        // two swapped: each end is landed where the drawing has the other
        $moved = isset($found['swapped'])
            ? [
                [$found['swapped'][0], self::drawn($model, $found['swapped'][1])],
                [$found['swapped'][1], self::drawn($model, $found['swapped'][0])],
            ]
            : [[$found['end'], $found['on']]];
        $set = [];
        foreach ($moved as [$at]) {
            [$wire, $end] = Model::split($at);
            $set["$wire.body.elsewhere"] = $end;
        }
        $title = isset($found['swapped'])
            ? Words::say('faults.fault_set.and_swapped', [
                'place_name' => ucfirst($model->placeName($moved[0][0])),
                'place_name_2' => $model->placeName($moved[1][0]),
            ])
            : Words::say('faults.fault_set.landed_on', [
                'place_name' => ucfirst($model->placeName($found['end'])),
                'place_name_2' => $model->placeName($found['on']),
            ]);

        return new Fault(
            $id,
            $found['part'],
            $found['mode'],
            null,
            $title,
            'found',
            $set,
            $weight,
            'set',
            jumpers: $moved,
        );
    }

    /** The place at which the drawing has a wire's end. */
    private static function drawn(Model $model, string $end): string
    {
        [$wire, $which] = Model::split($end);

        return $model->wires()[$wire]->at($which);
    }
}
