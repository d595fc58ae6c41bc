<?php

declare(strict_types=1);

// Makes shipped models anew from the edits that made them: php core/bin/models.php [NAME…]

use OddSpark\Appliance\Library;
use OddSpark\Building\Build;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;

$local = __DIR__.'/../vendor/autoload.php';
require is_file($local) ? $local : __DIR__.'/../../vendor/autoload.php';

$library = new Library();
foreach ($library->builds() as $name) {
    if ($argc > 1 && ! in_array($name, array_slice($argv, 1), true)) {
        continue;
    }
    try {
        file_put_contents(
            __DIR__."/../models/$name.json",
            Document::text(Build::of($name, $library->build($name))->document($library)),
        );
    } catch (EditError $e) {
        fwrite(STDERR, "$name: {$e->getMessage()}\n");
        exit(1);
    }
}
