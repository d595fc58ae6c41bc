<?php

// A crowded model of 250 parts and 400 wires: an edit as the browser makes it, its checks, and its board laid out anew.

declare(strict_types=1);

use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Drawing\Board;
use OddSpark\Tests\Building\Crowd;
use OddSpark\Wiring\Checks;

require_once __DIR__.'/../core/tests/Building/Crowd.php';

return function (): array {
    $library = new Library();
    $document = Crowd::document($library);
    $model = $library->draft($document);
    $layouts = $checks = [];
    for ($i = 0; $i < 5; $i++) {
        $start = hrtime(true);
        Board::of($model);
        $layouts[] = (hrtime(true) - $start) / 1e9;
        $start = hrtime(true);
        Checks::of($model);
        $checks[] = (hrtime(true) - $start) / 1e9;
    }

    $send = require __DIR__.'/browser.php';
    $send('GET', '/login');
    $send('POST', '/login', ['email' => 'ines@demo.example', 'password' => 'copper-lamp']);
    [$code, $text, , $to] = $send('POST', '/drafts', ['file' => Document::text($document)]);
    for ($waited = 0; preg_match('#(/tasks/\d+)#', $to, $m) === 1 && $waited < 120; $waited++) {
        sleep(1); // it is taken in beside
        $to = json_decode($send('GET', $m[1])[1], true)['goes'] ?? $to;
    }
    preg_match('#/drafts/(\d+)#', $to, $m) === 1 || exit("The builder could not begin: $code $text\n");
    $random = new Random\Randomizer(new Random\Engine\Mt19937(5));
    $edits = [];
    $step = 0;
    for ($i = 0; $i < 80; $i++) {
        $part = 'p'.$random->getInt(1, 249);
        $edit = match ($i % 4) {
            0, 1 => ['do' => 'move', 'parts' => [$part], 'by' => [14 * $random->getInt(-1, 1), 14]],
            2 => ['do' => 'rewire', 'wire' => sprintf('w%03d', $random->getInt(1, 400)), 'colour' => 'blue'],
            default => ['do' => 'label', 'part' => $part, 'label' => "Part $i"],
        };
        [$code, $text, $ms] = $send('POST', "/drafts/$m[1]/edits", ['upon' => $step, 'edits' => [$edit]]);
        $code === 200 || exit("An edit was refused: $code $text\n");
        $step = json_decode($text, true)['step'];
        $edits[] = $ms;
    }
    $edits = array_slice($edits, 5);
    sort($edits);

    return [
        'an edit of 250 parts and 400 wires, ms, 95 of 100' => [
            'measured' => $edits[(int) (0.95 * count($edits))],
            'bar' => 60.0,
            'notes' => sprintf('middle %.0f ms of %d', median($edits), count($edits)),
        ],
        'its checks, s' => [
            'measured' => median($checks),
            'bar' => 0.3,
            'notes' => count(Checks::of($model)).' findings',
        ],
        'its board laid out anew, s' => ['measured' => median($layouts), 'bar' => 1.0, 'notes' => 'middle of five'],
    ];
};
