<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Fed, it can open a valve by itself. */
interface GivesFuel {}
