<?php

namespace App\Work;

use App\Models\Attempt;

/** What the log of work at the bench comes to beside what the work was. */
final class AtBench
{
    /** @return array{list<string>, array<string, int>} unsafe acts as ids of dangers, and hints taken by grade */
    public static function counted(Attempt $attempt): array
    {
        $dangers = $hints = [];
        foreach ($attempt->entries as $entry) {
            array_push($dangers, ...array_map(strval(...), array_keys((array) ($entry->outcome['dangers'] ?? []))));
            if ($entry->act['act'] === 'hint') {
                $hints[$entry->act['grade']] = ($hints[$entry->act['grade']] ?? 0) + 1;
            }
        }

        return [$dangers, $hints];
    }
}
