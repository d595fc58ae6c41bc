<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Puts thousands of volts on a lead while it works: slot on; nodes from, and tip where its lead ends. */
interface Sparks {}
