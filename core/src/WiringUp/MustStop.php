<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

/** What must stop, for somebody's safety, of that which stops with the sound appliance when something is tried. */
enum MustStop
{
    case Nothing;
    case Fuel;
    case All;
}
