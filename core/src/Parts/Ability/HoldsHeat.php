<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Holds heat that others give it and take from it: parameters gains, loses. */
interface HoldsHeat {}
