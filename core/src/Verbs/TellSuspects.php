<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** The suspects after each entry. */
final class TellSuspects extends Verb
{
    protected const NAME = 'suspects';

    protected const ABOUT = 'the suspects after each entry';

    protected const TAKES = ['observations', 'fault', 'actions', 'visit', 'pairs'];

    protected function answer(): Answer
    {
        return $this->proof()->suspects($this->seen(), $this->has('pairs'));
    }
}
