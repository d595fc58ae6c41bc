<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Burns fuel: its slot tells gas (fuel is there), lit, and raw (trials without a light). */
interface Burns {}
