<?php

namespace App\Tasks;

use RuntimeException;

/** Why something cannot be done, in a sentence for whoever waits for it. */
class WorkError extends RuntimeException {}
