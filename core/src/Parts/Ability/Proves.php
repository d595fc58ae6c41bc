<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

/** Tells whoever asks that something has come about: a contact that is moved, an eye or a rod that knows a flame. */
interface Proves {}
