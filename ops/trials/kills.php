<?php

// Every process killed outright, in turns, while people act, edit and hand back: what was acknowledged is there, once,
// and the site answers again within five seconds with nobody doing anything; where the machine does other work beside,
// so many times later as it answers later before anything is killed.

declare(strict_types=1);
require __DIR__.'/lib/client.php';

const TRIES = 5;
const WITHIN_S = 5.0;
const CALM_S = 0.1;
const PROGRAMS = ['db', 'fpm-bench', 'fpm-pages', 'nginx', 'worker-marks', 'worker-analyses'];

$rounds = (int) ($argv[1] ?? 1);
$conf = (string) getenv('SPARK_SUPERVISOR');
$pidOf = fn (string $program): int => (int) shell_exec(
    'supervisorctl -c '.escapeshellarg($conf)." pid $program 2>/dev/null",
);
$childOf = fn (int $pid): int => (int) strtok((string) shell_exec("ps -o pid= --ppid $pid"), "\n");

$people = array_map(Person::signedIn(...), ['tova', 'marek', 'sunniva']);
$oona = Person::signedIn('oona');
$attempts = array_map(fn (Person $p) => attempt($p, 2), $people);
$draft = (int) database()->table('drafts')->orderBy('id')->value('id');
$acts = $edits = [];
$tick = 0;
$work = function () use ($people, $attempts, $oona, $draft, &$acts, &$edits, &$tick): void {
    $tick++;
    foreach ($people as $i => $who) {
        $id = "k-$i-$tick";
        [$status, $text] = $who->persist('POST', "/attempts/$attempts[$i]/acts", [
            'id' => $id,
            'act' => 'look',
            'part' => ['thermostat', 'breaker', 'cock'][$tick % 3],
            'at_s' => 0.1 * $tick,
        ]);
        $status === 200 || fail("an act was not done: $status $text");
        $acts[] = [$attempts[$i], $id];
    }
    $id = "e-$tick";
    $step = (int) lately()->table('drafts')->where('id', $draft)->value('step');
    [$status, $text] = $oona->persist('POST', "/drafts/$draft/edits", [
        'id' => $id,
        'upon' => $step,
        'edits' => [['do' => 'label', 'part' => 'limit', 'label' => "Limit $tick"]],
    ]);
    $status === 200 || fail("an edit was not made: $status $text");
    $edits[] = $id;
};
$answers = function (): float {
    $since = microtime(true);
    $nobody = new Person('nobody');
    do {
        if ($nobody->send('GET', '/up', null, 5)[0] === 200 && $nobody->send('GET', '/login', null, 5)[0] === 200) {
            return microtime(true) - $since;
        }
        usleep(30_000);
    } while (microtime(true) - $since < 300);

    return INF;
};

$calm = array_map($answers, range(1, 9));
sort($calm);
$within = WITHIN_S * max(1, $calm[4] / CALM_S);

$worst = [];
for ($round = 0; $round < $rounds; $round++) {
    foreach (PROGRAMS as $program) {
        foreach (['master', 'child'] as $which) {
            $work();
            $killed = false;
            for ($try = 0; $try < TRIES && ! $killed; $try++) { // one that had ended by itself meanwhile was not killed
                $pid = $pidOf($program);
                $pid = $which === 'child' && $pid > 0 ? $childOf($pid) : $pid;
                if ($pid === 0 && $which === 'child') {
                    continue 2; // it has none
                }
                $killed = posix_kill($pid, 9);
            }
            $killed || fail("$program ($pid) could not be killed");
            usleep(20_000);
            $s = $answers();
            $worst["$program $which"] = max($worst["$program $which"] ?? 0, $s);
            $work(); // in the midst of it
        }
    }
}
foreach ($worst as $what => $s) {
    check($s <= $within, sprintf('%s killed: answers after %.2f s of %.1f', $what, $s, $within));
}
$lost = $doubled = 0;
foreach ($acts as [$attempt, $id]) {
    $there = lately()->table('entries')->where(['attempt_id' => $attempt, 'client_id' => $id])->count();
    $lost += $there === 0 ? 1 : 0;
    $doubled += $there > 1 ? 1 : 0;
}
foreach ($attempts as $attempt) {
    $doubled +=
        lately()->table('entries')->where('attempt_id', $attempt)->count() -
        count(array_filter($acts, fn (array $a) => $a[0] === $attempt));
}
check($lost === 0 && $doubled === 0, count($acts)." acts: $lost lost, $doubled doubled");
$there = lately()->table('draft_steps')->where('draft_id', $draft)->whereIn('client_id', $edits)->count();
check($there === count($edits), count($edits).' edits, each made once: '.$there);

// marking: the workers are killed while they mark, several times
foreach ($people as $i => $who) {
    [$status] = $who->persist('POST', "/attempts/$attempts[$i]/acts", [
        'id' => "back-$i",
        'act' => 'hand_back',
        'at_s' => 0.1 * $tick + 0.1,
    ]);
    $status === 200 || fail("the hand-back was not taken: $status");
}
$kills = 0;
for ($i = 0; $i < 600; $i++) {
    if (lately()->table('attempts')->whereIn('id', $attempts)->whereNull('mark')->doesntExist()) {
        break;
    }
    if ($kills < 6 && $i % 5 === 1) {
        foreach (['worker-marks', 'worker-analyses'] as $program) {
            $pid = $pidOf($program);
            $pid > 0 && posix_kill($pid, 9) && $kills++;
        }
    }
    usleep(200_000);
}
$marks = lately()->table('marks')->whereIn('attempt_id', $attempts)->count();
$errors = lately()->table('tasks')->where('kind', 'mark')->whereNotNull('error')->count();
check(
    $marks === count($attempts) && $errors === 0,
    "$kills workers killed while marking: $marks marks of ".
        count($attempts).
        ", $errors said that they could not be made",
);
