<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Appliance\Model;
use OddSpark\Meter\FieldTester as Field;

/** A non-contact tester, held to a place: it lights, or it stays dark. */
final class FieldTester
{
    /** Minutes of labour; common practice, no source. */
    public const MINUTES = 0.2;

    public static function lights(Site $site, string $place): bool
    {
        $wires = $site->plan->model->wires();
        [$own] = Model::split($place);
        $cable = ($wires[$own] ?? null)?->cable;
        $beside = [];
        foreach ($cable === null ? [] : $wires as $id => $wire) {
            if ($id !== $own && $wire->cable === $cable) {
                $beside[] = $site->plan->places["$id.b"];
            }
        }

        return Field::lights($site->machine->solution($site->state), $site->plan->places[$place], $beside);
    }
}
