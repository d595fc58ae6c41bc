<?php

// Refuses to run on anything but a database for tests: a cached configuration or a stray variable
// must never let a test wipe a school's data.

require __DIR__.'/../vendor/autoload.php';

foreach ([getenv('DB_DATABASE'), $_ENV['DB_DATABASE'] ?? '', $_SERVER['DB_DATABASE'] ?? ''] as $database) {
    if ($database !== false && $database !== '' && ! str_contains($database, 'test')) {
        fwrite(STDERR, "The tests run only on a database named for tests, not on \"$database\".\n");
        exit(2);
    }
}
