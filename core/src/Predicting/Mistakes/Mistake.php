<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;

/** A usual mistake of who says what a meter will show: the figures that it leads to, read off the mistaken circuit. */
interface Mistake
{
    /**
     * @param Standings $now the appliance as it is
     * @param Standings $sound the same with nothing wrong
     * @return list<array{float, string}> each figure, with what it is, in a sentence
     */
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array;
}
