<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Feeds its secondary from its primary: as a supply it is what its primary is fed. */
interface Transforms {}
