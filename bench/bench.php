<?php

// Speed, as ratios taken in one run: `./spark bench [--json]`. These machines are shared, so that
// absolute times are only by the way.

declare(strict_types=1);

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

require __DIR__.'/../vendor/autoload.php';

/**
 * A negative bar is a least: its figure must be at least so much.
 *
 * @param array<string, array{measured: float|int, bar: float|int, notes: string}> $rows
 * @param list<string> $argv
 */
function report(array $rows, array $argv): void
{
    if (in_array('--json', $argv, true)) {
        echo json_encode($rows, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n";

        return;
    }
    foreach ($rows as $what => $r) {
        $met = $r['bar'] < 0 ? $r['measured'] >= -$r['bar'] : $r['measured'] <= $r['bar'];
        printf(
            "%-72s %9.3f  bar %s %g  %s  (%s)\n",
            $what,
            $r['measured'],
            $r['bar'] < 0 ? '≥' : '≤',
            abs($r['bar']),
            $met ? 'met' : 'MISSED',
            $r['notes'],
        );
    }
}

/** @param list<float> $x */
function median(array $x): float
{
    sort($x);

    return $x[intdiv(count($x), 2)];
}

if (($argv[1] ?? '') === 'load') { // ./spark bench load [PEOPLE] [SECONDS]
    report((require __DIR__.'/load.php')((int) ($argv[2] ?? 100), (int) ($argv[3] ?? 60)), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'marks') {
    report((require __DIR__.'/marks.php')(), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'proof') {
    report((require __DIR__.'/proof.php')(), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'acts') {
    report((require __DIR__.'/acts.php')(), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'hints') {
    report((require __DIR__.'/hints.php')(), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'building') {
    report((require __DIR__.'/building.php')(), $argv);
    exit;
}
$rows = (require __DIR__.'/circuit.php')();
if (getenv('SPARK_BENCH_ONLY') === 'circuit') {
    report($rows, $argv);
    exit;
}

$rows += (require __DIR__.'/proof.php')();

// ---- suspects over a trace of 15 acts, from the arrivals that a job keeps -------------------------
$plan = Compiler::compile((new Library())->model('furnace-80'));
$faultSet = FaultSet::of($plan->model);
$log = ActionLog::of(json_decode((string) file_get_contents(__DIR__.'/trace-15.json'), true));
$arrivals = (new Tracker($plan, $faultSet, 'cold'))->arrivals();
$times = [];
for ($i = 0; $i < 7; $i++) {
    $seen = Attempt::run($plan, $faultSet->get('rod:dirty'), $log, 'cold', new Memory())->observations;
    $tracker = new Tracker($plan, $faultSet, 'cold', new Memory(), $arrivals);
    $start = hrtime(true);
    $steps = $tracker->follow($seen);
    $times[] = (hrtime(true) - $start) / 1e9;
}
$rows['suspects over 15 acts, s'] = [
    'measured' => median($times),
    'bar' => 1.0,
    'notes' => sprintf('%d candidates, %d left', count($faultSet->faults), end($steps)->count()),
];

$rows += (require __DIR__.'/acts.php')();
$rows += (require __DIR__.'/hints.php')();
$rows += (require __DIR__.'/building.php')();
$rows += (require __DIR__.'/marks.php')();

report($rows, $argv);
