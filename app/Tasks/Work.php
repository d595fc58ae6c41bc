<?php

namespace App\Tasks;

use App\Models\Task;

/** Something that takes long, done by a worker beside the site. Done twice it leaves what it leaves when done once. */
interface Work
{
    /**
     * @return array<string, mixed>|null what is shown of it when it is done
     *
     * @throws WorkError when it cannot be done, with a sentence for whoever waits
     */
    public function do(Task $task): ?array;
}
