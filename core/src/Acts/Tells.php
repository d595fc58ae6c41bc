<?php

declare(strict_types=1);

namespace OddSpark\Acts;

/** How far what an act shows tells of the appliance. */
enum Tells
{
    /** What was shown was so. */
    case Fact;

    /** Somebody said so: it weighs, and excludes nothing. */
    case Hearsay;

    /** It was worked out of what had been seen before, and adds nothing to it. */
    case Nothing;
}
