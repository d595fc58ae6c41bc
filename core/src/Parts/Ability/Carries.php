<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Leads gas, oil, air, flue gas or water from one port of its part to another: parameters from, to; slot offer, q. */
interface Carries {}
