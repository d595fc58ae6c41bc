<?php

namespace App\Work;

use App\Bench\Plans;
use App\Bench\Predictions;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use OddSpark\Acts\ActError;

/** What all work on a sheet has in common: the appliance as it stands, answers that are handed in, no suspects. */
abstract class Sheet implements OnSheet
{
    public function __construct(protected readonly Plans $plans) {}

    public function hasSuspects(): bool
    {
        return false;
    }

    public function close(Attempt $attempt): bool
    {
        return Predictions::close($attempt);
    }

    public function hint(Attempt $attempt, string $grade, ?Entry $before, callable $tell): string
    {
        throw new ActError('/', 'There are no hints at a sheet but those that are taken there.');
    }

    public function past(Attempt $attempt, Assignment $assignment): array
    {
        $past = $assignment->sheet['past'] ?? ['perceived' => [], 'meter' => []];

        return ['perceived' => (object) $past['perceived']] + $past;
    }
}
