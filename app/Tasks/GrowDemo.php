<?php

namespace App\Tasks;

use App\Models\Task;
use App\Support\DemoSchool;

/** Makes the rest of the demo data beside the site: a second class, more people, and eight weeks of work. */
class GrowDemo implements Work
{
    public function __construct(private readonly DemoSchool $school) {}

    public function do(Task $task): ?array
    {
        $this->school->grow(fn (float $share, string $doing) => $task->tell($share, $doing));

        return null;
    }
}
