<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Can have a flaw that comes and goes: parameter flaw, as its class tells. */
interface ComesAndGoes {}
