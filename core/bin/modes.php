<?php

declare(strict_types=1);

// Writes docs/modes.md, or the section of one model: php core/bin/modes.php [MODEL]

use OddSpark\Tests\Trade\ModesTable;

$local = __DIR__.'/../vendor/autoload.php';
require is_file($local) ? $local : __DIR__.'/../../vendor/autoload.php';

$page = __DIR__.'/../../docs/modes.md';
$heading = <<<'MD'
    # Every way of failing

    What each way of failing of each kind shows on a shipped model: what the customer says, what a look at the part,
    hands and ears find that a sound one does not show, and the three readings that stand furthest from the sound
    appliance's (which stands in brackets). A kind stands with the first model that has it. Written by `php
    core/bin/modes.php`; the tests write two sections anew, `./spark check` all of them.

    MD;
$parts = is_file($page) ? preg_split('/^(?=## )/m', (string) file_get_contents($page)) ?: [] : [];
$sections = [];
foreach (array_slice($parts, 1) as $section) {
    $sections[trim(substr(strtok($section, "\n") ?: '', 3))] = $section;
}
foreach (isset($argv[1]) ? [$argv[1]] : ModesTable::models() as $model) {
    $lines = ModesTable::section($model);
    $sections[$model] = $lines === [] ? '' : implode("\n", $lines)."\n";
    $all = array_fill_keys(ModesTable::models(), '');
    $kept = array_intersect_key(array_replace($all, $sections), $all);
    file_put_contents($page, $heading."\n".rtrim(implode('', $kept))."\n");
}
