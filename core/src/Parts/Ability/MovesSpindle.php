<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Moves a valve's spindle from a head that comes off: parameters seized, headless; slot course, target. */
interface MovesSpindle {}
