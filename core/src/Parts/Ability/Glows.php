<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Is so hot while it shows anything that no hand may touch it. */
interface Glows {}
