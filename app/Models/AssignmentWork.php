<?php

namespace App\Models;

/** What is done in a job. */
enum AssignmentWork: string
{
    /** The fault is traced at the bench, and mended. */
    case Trace = 'trace';
    /** Readings are said before they are taken, on a sheet. */
    case Predict = 'predict';
}
