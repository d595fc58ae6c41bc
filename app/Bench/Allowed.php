<?php

namespace App\Bench;

use App\Models\AssignmentWork;
use App\Models\Attempt;
use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;

/** What of all acts a job lets one do. */
final class Allowed
{
    /** @throws ActError */
    public static function check(Attempt $attempt, Act $act, ?AtTelephone $line): void
    {
        if ($act->name === 'hint' && ! $attempt->assignment->kind->hasHints()) {
            throw new ActError('/act', 'There are no hints in an examination.');
        }
        $of = AssignmentWork::ofActs()[$act->name] ?? $attempt->assignment->work;
        if ($of !== $attempt->assignment->work) {
            throw new ActError('/act', 'That belongs to another kind of job than this one.');
        }
        if (in_array($act->name, $attempt->assignment->rules['barred'] ?? [], true)) {
            throw new ActError('/act', 'The house rules of this job do not allow that.');
        }
        $refusal = $line?->refusal($act);
        if ($refusal !== null) { // nothing was done, so nothing is logged
            throw new ActError('', $refusal);
        }
        if ($attempt->entries_count >= Workbench::MOST_ENTRIES && $act->name !== 'hand_back') {
            $most = 'This attempt has '.Workbench::MOST_ENTRIES.' entries, the most allowed. Close the call.';
            throw new ActError('/act', $most);
        }
    }
}
