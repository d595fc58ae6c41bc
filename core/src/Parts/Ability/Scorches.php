<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Can burn at a bad contact: slot scorched (how often it got worse), hot. */
interface Scorches {}
