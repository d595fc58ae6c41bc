<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Is fed from the street: nobody in the house switches it off. */
interface IsMains {}
