<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Has an armature that it draws in; its slot has held, pushed in by hand. */
interface Attracts {}
