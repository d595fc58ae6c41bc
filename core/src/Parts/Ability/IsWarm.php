<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Its course is how warm it is: a hand feels it, a sensor of heat is put there. */
interface IsWarm {}
