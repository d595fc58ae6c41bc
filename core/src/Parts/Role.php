<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/** What lies between two places of a wiring. */
enum Role
{
    case Load;
    case Switch;
    case Joint;
    case Supply;
    case Ground;
}
