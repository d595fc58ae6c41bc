<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Makes and breaks at a level of what it feels: parameters of, opens_at, closes_at; slot made, latched, sucked. */
interface Senses {}
