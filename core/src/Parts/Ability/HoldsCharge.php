<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Holds a charge when it is cut off: slot charge, V. */
interface HoldsCharge {}
