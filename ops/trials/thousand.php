<?php

// An attempt of a thousand entries is handed back, marked, debriefed and printed; the thousand and first entry gets a
// sentence.

declare(strict_types=1);
require __DIR__.'/lib/client.php';

$who = Person::signedIn('sunniva');
$attempt = attempt($who, 1);
$most = App\Bench\Workbench::MOST_ENTRIES;
database();
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
$ms = [];
$n = (int) database()->table('entries')->where('attempt_id', $attempt)->count();
$t = 1.0;
$act = function (array $with) use ($who, $attempt, &$n, &$t, &$ms): array {
    $reply = $who->persist('POST', "/attempts/$attempt/acts", ['id' => 't'.$n, 'at_s' => $t] + $with);
    $ms[] = 1000 * $reply[2];
    $n++;
    $t += 0.9;

    return $reply;
};
$act(['act' => 'door', 'to' => 'open']);
$act(['act' => 'hold', 'to' => 'held']);
while ($n < $most) {
    [$status, $text] = $n % 100 === 50
        ? $act(['act' => 'hint', 'grade' => 'circuit'])
        : $act(['act' => 'leads', 'red' => $places[$n % 10], 'black' => $n % 7 === 0 ? null : 'board.C']);
    $status === 200 || fail("entry $n: $status $text");
}
say(
    sprintf(
        'an act takes %.0f ms among the first hundred entries, %.0f ms among the last (medians)',
        percentile(array_slice($ms, 0, 100), 0.5),
        percentile(array_slice($ms, -100), 0.5),
    ),
);
[$status, $text] = $act(['act' => 'look', 'part' => 'thermostat']);
check($status === 422 && str_contains($text, 'the most allowed'), "entry $n gets a sentence");
[$status] = $who->persist('POST', "/attempts/$attempt/acts", ['id' => 'tback', 'act' => 'hand_back', 'at_s' => $t]);
check($status === 200, 'it can be handed back');
$begun = microtime(true);
do {
    usleep(500_000);
    $state = json_decode($who->persist('GET', "/attempts/$attempt/marking")[1], true);
    $state['error'] === null || fail("it was not marked: {$state['error']}");
} while (! $state['marked'] && microtime(true) - $begun < 900);
check($state['marked'], sprintf('and is marked within %.0f s', microtime(true) - $begun));
[$status, $text, $s] = $who->persist('GET', "/attempts/$attempt/debrief");
check($status === 200, sprintf('its debrief opens in %.1f s, %.1f MB', $s, strlen($text) / 1e6));
$begun = microtime(true);
do {
    [$status, $text] = $who->persist('GET', "/attempts/$attempt/debrief.pdf");
    usleep(300_000);
} while ($status === 202 && microtime(true) - $begun < 600);
check(
    $status === 200 && str_starts_with($text, '%PDF'),
    sprintf('and is printed after %.0f s, %d kB', microtime(true) - $begun, strlen($text) / 1000),
);
