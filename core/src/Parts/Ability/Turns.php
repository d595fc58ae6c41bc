<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Has a shaft that turns, and that a hand can turn; parameters seized, drag. */
interface Turns {}
