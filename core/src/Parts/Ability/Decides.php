<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Runs a sequence table from its inputs: parameters table, inputs; slot state, in, out, latched. */
interface Decides {}
