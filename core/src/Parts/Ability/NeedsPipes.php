<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Does and shows something only where pipes lead to its part; beside the pipes it is as if it were not there. */
interface NeedsPipes {}
