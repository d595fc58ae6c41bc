<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** The words on the command line make no sense together. */
final class UsageError extends \DomainException {}
