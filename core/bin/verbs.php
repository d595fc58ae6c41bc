<?php

declare(strict_types=1);

use OddSpark\Verbs\Verbs;

require __DIR__.'/../vendor/autoload.php';

exit(Verbs::main(array_slice($argv, 1)));
