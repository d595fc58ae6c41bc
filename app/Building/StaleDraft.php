<?php

namespace App\Building;

use RuntimeException;

/** An edit was made upon a step that is no longer the newest: somebody else was at it. */
class StaleDraft extends RuntimeException
{
    /** @param list<string> $since what was done meanwhile, and by whom */
    public function __construct(public readonly array $since)
    {
        parent::__construct(
            'Somebody else has changed this model meanwhile: '.
                implode(' ', $since).
                ' You see it as it is now; do yours again if it still fits.',
        );
    }
}
