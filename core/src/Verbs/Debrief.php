<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** What was known at each entry, and what would have told more. */
final class Debrief extends Verb
{
    protected const NAME = 'debrief';

    protected const ABOUT = 'what was known at each entry, and what would have told more';

    protected const TAKES = ['fault', 'actions', 'visit', 'rules', 'html'];

    protected function answer(): Answer
    {
        [$marking, $rules] = $this->marking();

        return $marking->debrief($rules, $this->has('html'));
    }
}
