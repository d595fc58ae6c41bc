<?php

declare(strict_types=1);

use OddSpark\Verbs\Verbs;

$local = __DIR__.'/../vendor/autoload.php';
require is_file($local) ? $local : __DIR__.'/../../vendor/autoload.php';

exit(Verbs::main(array_slice($argv, 1)));
