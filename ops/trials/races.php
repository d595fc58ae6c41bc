<?php

// The same thing many times at once: one result, and nobody sees an error of ours.

declare(strict_types=1);
require __DIR__.'/lib/client.php';

$trainee = Person::signedIn('priya');
$ines = Person::signedIn('ines');
$at = fn (Person $who, int $times, string $path, callable|array $body): array => parallel(
    array_map(fn (int $i) => [$who, 'POST', $path, is_array($body) ? $body : $body($i)], range(1, $times)),
);
$fine = function (array $replies, string $what): void {
    foreach ($replies as [$status, $text]) {
        $status < 500 && $status !== 0 || fail("$what: $status ".substr($text, 0, 200));
    }
};

$mine = [
    'assignment_id' => 2,
    'user_id' => (int) database()->table('users')->where('email', 'priya@demo.example')->value('id'),
];
$replies = $at($trainee, 8, '/jobs/2/attempt', []);
$fine($replies, 'begin a job');
check(
    count(array_unique(array_filter(array_column($replies, 3), fn ($to) => str_contains($to, '/attempts/')))) === 1 &&
        database()->table('attempts')->where($mine)->count() === 1,
    'a job begun eight times at once is one attempt',
);

$replies = $at($ines, 6, '/drafts', ['title' => 'Twice', 'region' => 'NA']);
$fine($replies, 'drafts of one title');
check(
    database()->table('drafts')->where('title', 'Twice')->count() === 1,
    'a draft of one title asked for six times at once is one',
);

$fine($at($trainee, 6, '/warm-up', []), 'warm-up');
check(
    database()->table('assignments')->where('kind', 'warm-up')->count() === 1,
    'six warm-ups at once share one board',
);

$attempt = (int) database()->table('attempts')->where($mine)->value('id');
$replies = $at($trainee, 6, "/attempts/$attempt/acts", [
    'id' => 'same',
    'act' => 'look',
    'part' => 'thermostat',
    'at_s' => 1,
]);
$fine($replies, 'one act');
check(
    database()
        ->table('entries')
        ->where(['attempt_id' => $attempt, 'client_id' => 'same'])
        ->count() === 1,
    'an act sent six times at once is done once',
);
$replies = $at(
    $trainee,
    10,
    "/attempts/$attempt/acts",
    fn (int $i) => ['id' => "back-$i", 'act' => 'hand_back', 'at_s' => 2],
);
$fine($replies, 'hand back');
$entries = array_unique(
    array_map(
        fn (array $r) => json_encode(json_decode($r[1], true)['entry'] ?? null),
        array_filter($replies, fn (array $r) => $r[0] === 200),
    ),
);
check(
    count($entries) === 1 &&
        database()->table('entries')->where('attempt_id', $attempt)->where('act', 'like', '%hand_back%')->count() === 1,
    'handed back ten times at once is handed back once, with one answer',
);

$marked = database()->table('attempts')->where('assignment_id', 1)->whereNotNull('mark')->pluck('id')->all();
$byHand = fn (): int => database()->table('marks')->whereNotNull('user_id')->count();
$before = $byHand(); // trials before this one may have marked again too
$fine($at($ines, 4, '/jobs/1/marks', ['rules' => 2]), 'mark again');
for (
    $i = 0;
    $i < 300 &&
    database()
        ->table('tasks')
        ->where('kind', 'mark-again')
        ->whereNotIn('state', ['done', 'failed'])
        ->exists();
    $i++
) {
    usleep(200_000);
}
check(
    $byHand() === $before + count($marked),
    'marked again four times at once is marked again once',
);
for ($i = 0; $i < 300 && database()->table('attempts')->where('id', $attempt)->whereNull('mark')->exists(); $i++) {
    usleep(200_000);
}
check(database()->table('marks')->where('attempt_id', $attempt)->count() === 1, 'and the attempt has one mark');
