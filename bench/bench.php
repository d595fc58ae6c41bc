<?php

// Speed, as ratios taken in one run: `./spark bench [--json]`. These machines are shared, so that
// absolute times are only by the way.

declare(strict_types=1);

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;

require __DIR__.'/../vendor/autoload.php';

/** A negative bar is a least: its figure must be at least so much. */
function report(array $rows, array $argv): void
{
    if (in_array('--json', $argv, true)) {
        echo json_encode($rows, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n";

        return;
    }
    foreach ($rows as $what => $r) {
        $met = $r['bar'] < 0 ? $r['measured'] >= -$r['bar'] : $r['measured'] <= $r['bar'];
        printf("%-72s %9.3f  bar %s %g  %s  (%s)\n", $what, $r['measured'], $r['bar'] < 0 ? '≥' : '≤', abs($r['bar']), $met ? 'met' : 'MISSED', $r['notes']);
    }
}

/** @param list<float> $x */
function median(array $x): float
{
    sort($x);

    return $x[intdiv(count($x), 2)];
}

if (getenv('SPARK_BENCH_ONLY') === 'marks') {
    report((require __DIR__.'/marks.php')(), $argv);
    exit;
}
if (getenv('SPARK_BENCH_ONLY') === 'proof') {
    report((require __DIR__.'/proof.php')(), $argv);
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
$universe = Universe::of($plan->model);
$log = ActionLog::of(json_decode((string) file_get_contents(__DIR__.'/trace-15.json'), true));
$arrivals = (new Tracker($plan, $universe, 'cold'))->arrivals();
$times = [];
for ($i = 0; $i < 7; $i++) {
    $seen = Attempt::run($plan, $universe->get('rod:dirty'), $log, 'cold', new Memory())->observations;
    $tracker = new Tracker($plan, $universe, 'cold', new Memory(), $arrivals);
    $start = hrtime(true);
    $steps = $tracker->follow($seen);
    $times[] = (hrtime(true) - $start) / 1e9;
}
$rows['suspects over 15 acts, s'] = ['measured' => median($times), 'bar' => 1.0, 'notes' => sprintf('%d candidates, %d left', count($universe->faults), end($steps)->count())];

// ---- an act on the bench against a route that reads a session and commits one insert -------------
$url = getenv('SPARK_URL');
$jar = tempnam(sys_get_temp_dir(), 'jar');
$curl = curl_init();
$send = function (string $method, string $path, ?array $body = null) use ($curl, $url, $jar): array {
    $token = '';
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) ?: [] as $cookie) {
        $c = explode("\t", $cookie);
        if ($c[5] === 'XSRF-TOKEN') {
            $token = urldecode($c[6]);
        }
    }
    curl_setopt_array($curl, [
        CURLOPT_URL => $url.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body), CURLOPT_HEADER => false,
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', "X-XSRF-TOKEN: $token"],
    ]);
    $start = hrtime(true);
    $text = (string) curl_exec($curl);

    return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $text, (hrtime(true) - $start) / 1e6, (string) curl_getinfo($curl, CURLINFO_REDIRECT_URL)];
};
$send('GET', '/login');
$send('POST', '/login', ['email' => 'sunniva@demo.example', 'password' => 'copper-lamp']);
[$code, , , $to] = $send('POST', '/jobs/2/attempt');
preg_match('#/attempts/(\d+)#', $to, $m);
$attempt = $m[1] ?? exit("The bench could not begin an attempt: $code $to\n");
$acts = $base = [];
$t = 1.0;
$do = function (array $act) use (&$t, $send, $attempt): float {
    [$code, $text, $ms] = $send('POST', "/attempts/$attempt/acts", ['id' => bin2hex(random_bytes(8)), 'at_s' => $t] + $act);
    $code === 200 || exit("An act was refused: $code $text\n");
    $t += 3;

    return $ms;
};
$do(['act' => 'door', 'to' => 'open']);
$do(['act' => 'hold', 'to' => 'held']);
$places = ['board.R', 'board.W', 'limit.a', 'limit.b', 'board.PS-IN', 'valve.MV', 'igniter.1', 'inducer.L', 'rod.rod', 'blower.RED'];
for ($i = 0; $i < 80; $i++) {
    [$code, , $ms] = $send('POST', '/bench/baseline');
    $code === 200 || exit("The baseline route does not answer: $code\n");
    $base[] = $ms;
    $acts[] = $do(['act' => 'leads', 'red' => $places[$i % 10], 'black' => 'board.C']);
}
$base = array_slice($base, 10);
$acts = array_slice($acts, 10);
$rows['an act, as times a route with one insert'] = ['measured' => median($acts) / median($base), 'bar' => 4.0, 'notes' => sprintf('medians %.1f and %.1f ms of %d each', median($acts), median($base), count($acts))];
unlink($jar);

$rows += (require __DIR__.'/marks.php')();

report($rows, $argv);
