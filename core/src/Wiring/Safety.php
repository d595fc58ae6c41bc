<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

/** What counts as a safety: one place for the checks, the trials of a model, and the mark. */
final class Safety
{
    /**
     * Whether a sensor of a kind guards: one of a limit that opens on rise (a fan leg makes on rise, and guards nothing);
     * of a draught switch or a cut-off any.
     *
     * @param array<string, mixed> $kind
     * @param array<string, mixed> $primitive
     */
    public static function guards(array $kind, array $primitive): bool
    {
        return ($primitive['type'] ?? '') === 'sensor' && ($kind['family'] !== 'limit' || $primitive['opens_at'] > $primitive['closes_at']);
    }
}
