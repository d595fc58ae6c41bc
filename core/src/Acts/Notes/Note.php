<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;

/** What a person notes, says or decides, with no hand on the appliance. */
abstract readonly class Note extends Act {}
