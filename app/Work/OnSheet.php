<?php

namespace App\Work;

use App\Models\Attempt;

/** Work that is done on a page of its own and not at the bench, item by item, and handed in. */
interface OnSheet extends KindOfWork
{
    /**
     * The page, and what it shows of its own.
     *
     * @return array{string, array<string, mixed>}
     */
    public function page(Attempt $attempt): array;

    /** Of how many items a sheet is at most. */
    public function most(): int;

    /** Hands it in as it stands; tells whether that was done now. */
    public function close(Attempt $attempt): bool;

    /** How far somebody is; null where nothing is done yet. */
    public function soFar(Attempt $attempt): ?string;

    /**
     * What hints say at an item.
     *
     * @param array<string, mixed> $asked the item, as the job keeps it
     * @return array<string, string> by grade
     */
    public function hintsAt(array $asked): array;
}
