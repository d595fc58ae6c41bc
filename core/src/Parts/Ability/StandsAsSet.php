<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Stands where it was put, by a hand or by how it was made up: parameter at. */
interface StandsAsSet {}
