<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Is a battery that runs down: parameter volts, as new. */
interface RunsDown {}
