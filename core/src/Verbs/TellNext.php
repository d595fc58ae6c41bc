<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** What would tell most now. */
final class TellNext extends Verb
{
    protected const NAME = 'next';

    protected const ABOUT = 'what would tell most now';

    protected const TAKES = ['observations', 'fault', 'actions', 'visit'];

    protected function answer(): Answer
    {
        return $this->proof()->next($this->seen());
    }
}
