<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Opens for good on too much current and has a rating that can be changed: parameter amps; slot whole. */
interface Blows {}
