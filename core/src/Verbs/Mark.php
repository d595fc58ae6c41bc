<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** The mark, line by line. */
final class Mark extends Verb
{
    protected const NAME = 'mark';

    protected const ABOUT = 'the mark, line by line';

    protected const TAKES = ['fault', 'actions', 'visit', 'rules'];

    protected function answer(): Answer
    {
        [$marking, $rules] = $this->marking();

        return $marking->mark($rules);
    }
}
