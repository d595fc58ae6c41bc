<?php

declare(strict_types=1);

// Writes what follows from classes, schemas and pages: php core/bin/schemas.php

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\ShapeWriter;
use OddSpark\Building\Edits;
use OddSpark\Building\PrimitivesPage;
use OddSpark\Tests\KeysWriter;

$local = __DIR__.'/../vendor/autoload.php';
require is_file($local) ? $local : __DIR__.'/../../vendor/autoload.php';

foreach (['actions' => ActionLog::schema(), 'edits' => Edits::schema()] as $name => $schema) {
    file_put_contents(
        __DIR__."/../schema/$name.json",
        json_encode($schema, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n",
    );
}

file_put_contents(__DIR__.'/../src/Appliance/KnownKeys.php', KeysWriter::file());
file_put_contents(__DIR__.'/../../docs/primitives.md', PrimitivesPage::markdown());
file_put_contents(__DIR__.'/../src/Appliance/Shapes.php', ShapeWriter::file());
