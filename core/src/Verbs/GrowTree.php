<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** The best tree of readings. */
final class GrowTree extends Verb
{
    protected const NAME = 'tree';

    protected const ABOUT = 'the best tree of readings';

    protected const TAKES = ['fault', 'visit'];

    protected function answer(): Answer
    {
        $fault = $this->faults()[0] ?? null;
        if ($fault !== null) {
            $this->faultSet()->get($fault);
        }

        return $this->proof()->tree($this->visit(), $fault);
    }
}
