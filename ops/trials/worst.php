<?php

// One signed-in person does his worst on eight connections; what a classmate's acts take meanwhile. The classmate works
// as
// people do, an act every fifth of a second; calm and worst are measured in turns, in one run.

declare(strict_types=1);
require __DIR__.'/lib/client.php';

const MOST = 2.0;

$classmate = Person::signedIn('wendell');
$mine = attempt($classmate, 2);
$places = [
    'board.R',
    'board.W',
    'limit.a',
    'limit.b',
    'board.PS-IN',
    'valve.MV',
    'igniter.1',
    'inducer.L',
    'rod.rod',
    'blower.RED',
];
$t = 1.0;
$n = 0;
$act = function (array $with) use ($classmate, $mine, &$t, &$n): float {
    $t += 0.5;
    [$status, $text, $s] = $classmate->send('POST', "/attempts/$mine/acts", ['id' => 'w'.(++$n), 'at_s' => $t] + $with);
    $status === 200 || fail("the classmate's act: $status $text");

    return 1000 * $s;
};
$act(['act' => 'door', 'to' => 'open']);
$act(['act' => 'hold', 'to' => 'held']);
$measure = function (int $times) use ($act, $places, &$n): array {
    $ms = [];
    for ($i = 0; $i < $times; $i++) {
        usleep(200_000);
        $ms[] = $act(['act' => 'leads', 'red' => $places[$n % count($places)], 'black' => 'board.C']);
    }

    return $ms;
};

// the worst that a trainee can do (hints, acts, next, on an attempt that is long already), and an instructor (model
// pages, runs, papers, analyses, imports)
foreach (['trainee', 'instructor'] as $role) {
    $calm = $worst = [];
    $measure(5);
    for ($turn = 0; $turn < 3; $turn++) {
        $calm = [...$calm, ...$measure(25)];
        $pids = [];
        for ($connection = 0; $connection < 8; $connection++) {
            $pid = pcntl_fork();
            if ($pid === 0) {
                (require __DIR__.'/lib/nuisance.php')($role, $connection);
                posix_kill(getmypid(), SIGKILL);
            }
            $pids[] = $pid;
        }
        sleep(3); // all are at it
        $worst = [...$worst, ...$measure(25)];
        foreach ($pids as $pid) {
            posix_kill($pid, SIGKILL);
            pcntl_waitpid($pid, $status);
        }
        for ($i = 0; $i < 600 && lately()->table('tasks')->whereIn('state', ['queued', 'running'])->exists(); $i++) {
            lately()->table('tasks')->whereIn('state', ['waiting'])->delete();
            usleep(200_000);
        }
    }
    [$before, $under] = [percentile($calm, 0.95), percentile($worst, 0.95)];
    say(
        sprintf(
            '%s at his worst: p95 of a classmate\'s act %.0f ms calm, %.0f ms meanwhile (medians %.0f and %.0f)',
            $role,
            $before,
            $under,
            percentile($calm, 0.5),
            percentile($worst, 0.5),
        ),
    );
    check($under <= MOST * $before, sprintf('%.2f times, at most %.1f', $under / $before, MOST));
}
