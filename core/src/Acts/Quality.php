<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** What sort of thing an act is, to those who judge it or may bar it. */
enum Quality
{
    /** Asks the appliance something: a reading, a look, a sound, a touch. */
    case Asks;

    /** Makes the appliance do something past its controls. */
    case Forces;

    /** Puts in another part, or sets one right. */
    case Swaps;

    /** Puts in what was not there: it can do the work of something else. */
    case Fits;

    /** Is done on a part: with the first of these the looking at parts begins. */
    case Touches;

    /** Can set right what was wrong. */
    case Mends;

    /** Can bring the appliance back to work, mending or not. */
    case Restores;

    /** Is done to the sound twin as well, where there is one. */
    case OnBoth;

    /** House rules can do without it. */
    case Barrable;
}
