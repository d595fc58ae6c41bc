<?php

// Work that a backup must keep, and whether it was kept.

declare(strict_types=1);
require __DIR__.'/lib/client.php';

$what = $argv[1];
$file = $argv[2] ?? '';
/** All that a school keeps, but for the attempt of him who worked while the backup was made. */
$kept = function (): array {
    $all = [];
    $busy = lately()
        ->table('attempts')
        ->where([
            'assignment_id' => 2,
            'user_id' => lately()->table('users')->where('email', 'marek@demo.example')->value('id'),
        ])
        ->pluck('id')
        ->all();
    foreach (
        [
            'users' => ['email', 'password', 'role'],
            'marks' => ['attempt_id', 'rules', 'result', 'engine'],
            'mark_overrides' => ['attempt_id', 'line', 'share', 'reason'],
            'attempts' => ['id', 'mark', 'debrief', 'state', 'record', 'seed'],
            'entries' => ['attempt_id', 'client_id', 'act', 'outcome', 'sentence'],
            'draft_steps' => ['draft_id', 'number', 'words', 'document', 'label'],
            'appliances' => ['name', 'hash'],
            'rule_sets' => ['name', 'version', 'document'],
            'assignments' => ['id', 'fault', 'hash', 'complaint'],
        ] as $table => $columns
    ) {
        foreach (
            lately()
                ->table($table)
                ->orderBy('id')
                ->get(['id', ...$columns]) as $row
        ) {
            if (in_array($table === 'attempts' ? $row->id : $row->attempt_id ?? 0, $busy, true)) {
                continue;
            }
            $all["$table $row->id"] = hash('sha256', serialize($row));
        }
    }

    return $all;
};
match ($what) {
    'work' => (function (): void {
        $ines = Person::signedIn('ines');
        $marked = (int) database()->table('attempts')->whereNotNull('mark')->value('id');
        [$status] = $ines->persist('POST', "/attempts/$marked/overrides", [
            'line' => 'trace',
            'points' => 3,
            'reason' => 'Told me why.',
        ]);
        check($status === 302, 'a line of a mark is set by hand');
        [$status, , , $to] = $ines->persist('POST', '/drafts', [
            'title' => 'Kiln house',
            'model' => 'boiler-simple-230',
        ]);
        preg_match('#/drafts/(\d+)#', $to, $m) === 1 || fail("no draft: $status");
        [$status] = $ines->persist('POST', "/drafts/$m[1]/edits", [
            'upon' => 0,
            'id' => 'one',
            'edits' => [['do' => 'label', 'part' => 'boiler', 'label' => 'Kiln boiler']],
        ]);
        $tova = Person::signedIn('tova');
        $attempt = attempt($tova, 2);
        foreach (['thermostat', 'breaker', 'cock'] as $i => $part) {
            [$status] = $tova->persist('POST', "/attempts/$attempt/acts", [
                'id' => "kept-$i",
                'act' => 'look',
                'part' => $part,
                'at_s' => 1 + $i,
            ]);
            check($status === 200, "a look at the $part");
        }
    })(),
    'busy' => (function (): void {
        $who = Person::signedIn('marek');
        $attempt = attempt($who, 2);
        for ($i = 0, $until = microtime(true) + 5; microtime(true) < $until; $i++) {
            [$status, $text] = $who->send('POST', "/attempts/$attempt/acts", [
                'id' => "busy-$i",
                'act' => 'look',
                'part' => 'thermostat',
                'at_s' => 0.1 * $i,
            ]);
            $status === 200 || fail("act $i: $status $text");
        }
        say("$i acts meanwhile");
    })(),
    'remember' => print((string) json_encode($kept())),
    'compare' => (function () use ($kept, $file): void {
        $before = json_decode((string) file_get_contents($file), true);
        $differs = array_keys(array_diff_assoc($before, $kept()) + array_diff_assoc($kept(), $before));
        check($differs === [], count($before).' rows as they were '.implode(', ', array_slice($differs, 0, 5)));
    })(),
    'go-on' => (function (): void {
        $tova = Person::signedIn('tova');
        $attempt = attempt($tova, 2);
        $n = (int) lately()->table('entries')->where('attempt_id', $attempt)->max('tick') / 1000 + 1;
        [$status, $text] = $tova->persist('POST', "/attempts/$attempt/acts", [
            'id' => 'on-'.bin2hex(random_bytes(4)),
            'act' => 'look',
            'part' => 'service',
            'at_s' => $n,
        ]);
        check(
            $status === 200 && lately()->table('entries')->where('attempt_id', $attempt)->count() >= 4,
            'an attempt that was open goes on',
        );
    })(),
    default => fail("what is $what?"),
};
