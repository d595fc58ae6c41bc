<?php

namespace App\Work;

use App\Models\AssignmentWork;

/** A fault is traced with the sound twin of the failed unit beside it. */
class Comparing extends Tracing
{
    protected function linesBeside(): string
    {
        return AssignmentWork::Compare->value;
    }
}
