<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** Faults that no observation tells apart. */
final class TellClasses extends Verb
{
    protected const NAME = 'classes';

    protected const ABOUT = 'faults that no observation tells apart';

    protected const TAKES = ['visit'];

    protected function answer(): Answer
    {
        return $this->proof()->classes($this->visit());
    }
}
