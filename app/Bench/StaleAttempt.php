<?php

namespace App\Bench;

use RuntimeException;

/** What was asked does not fit where the attempt stands: the client must catch up first. */
class StaleAttempt extends RuntimeException {}
