<?php

// Two tiers race on one attempt, and a database dies in the midst: nothing that was answered is lost or done twice.

declare(strict_types=1);
require __DIR__.'/trials/lib/client.php';

const RACES = 40;
const PEOPLE = 8;
const SECONDS = 20;
const LONGEST_S = 10.0;

$site = (string) getenv('SPARK_URL');
$tiers = explode(' ', (string) getenv('SPARK_TIERS'));
$at = function (string $where, callable $do): mixed {
    putenv("SPARK_URL=$where");

    return $do();
};

/** @param list<array{string, Person, string, array<string, mixed>}> $requests where, who, path, body: all at once */
$race = function (array $requests) use ($at): array {
    $all = curl_multi_init();
    $curls = [];
    foreach ($requests as [$where, $who, $path, $body]) {
        $curls[] = $curl = $at($where, fn () => $who->prepare('POST', $path, $body, 30));
        curl_multi_add_handle($all, $curl);
    }
    do {
        curl_multi_exec($all, $running);
        curl_multi_select($all, 0.02);
    } while ($running > 0);

    return array_map(
        fn (CurlHandle $c): array => [curl_getinfo($c, CURLINFO_RESPONSE_CODE), (string) curl_multi_getcontent($c)],
        $curls,
    );
};

$nodes = array_map(
    fn (string $socket): PDO => new PDO("mysql:unix_socket=$socket;dbname=odd_spark", (string) getenv('DB_USERNAME'), ''),
    array_slice(explode(' ', trim((string) getenv('SPARK_NODES'))), 1), // those that are not killed
);
$kept = function (PDO $node, int $attempt): array {
    $node->query('SET SESSION wsrep_sync_wait = 1'); // as of all that was committed before
    $rows = $node->prepare('SELECT client_id FROM entries WHERE attempt_id = ?');
    $rows->execute([$attempt]);

    return $rows->fetchAll(PDO::FETCH_COLUMN);
};

// ---- two tiers, one attempt ---------------------------------------------------------------------
$tova = $at($site, fn () => Person::signedIn('wendell'));
$attempt = $at($site, fn () => attempt($tova, 2));
$answered = [];
for ($i = 0; $i < RACES; $i++) {
    $same = $i % 2 === 0; // one act that two send, or two acts at once
    $act = fn (string $id): array => ['id' => $id, 'at_s' => 1 + $i, 'act' => 'look', 'part' => 'board'];
    $replies = $race([
        [$tiers[0], $tova, "/attempts/$attempt/acts", $act("race-$i")],
        [$tiers[1], $tova, "/attempts/$attempt/acts", $act($same ? "race-$i" : "race-$i-b")],
    ]);
    foreach ($replies as $n => [$status, $text]) {
        in_array($status, [200, 409], true) || fail("a race was answered with $status: ".substr($text, 0, 200));
        if ($status === 200) {
            $answered[json_decode($text, true)['entry']['id']] = true;
        }
    }
}
$there = $kept($nodes[0], $attempt);
check(
    count($there) === count(array_unique($there)) && array_diff(array_keys($answered), $there) === [] &&
        array_diff($there, array_keys($answered)) === [],
    sprintf('%d races of two tiers on one attempt: %d acts answered, %d kept, each once', RACES, count($answered), count($there)),
);

// ---- a database dies ----------------------------------------------------------------------------
$people = [];
$mailboxes = $nodes[0]->query("SELECT email FROM users WHERE role = 'trainee' ORDER BY id LIMIT ".PEOPLE);
foreach ($mailboxes->fetchAll(PDO::FETCH_COLUMN) as $email) {
    $person = $at($site, fn () => Person::signedIn((string) strstr((string) $email, '@', true)));
    [$status, , , $to] = $at($site, fn () => $person->persist('POST', '/jobs/2/attempt'));
    if (preg_match('#/attempts/(\d+)$#', $to, $m) === 1) {
        $people[] = [$person, (int) $m[1]];
    }
}
count($people) > 1 || fail('too few can begin the job');
putenv("SPARK_URL=$site");
$begun = microtime(true);
$pids = [];
foreach ($people as $n => [$person, $his]) {
    $pid = pcntl_fork();
    if ($pid === 0) {
        $t = 0.0;
        $done = [];
        $longest = 0.0;
        while (microtime(true) - $begun < SECONDS) {
            $t += 0.4;
            $id = "gone-$n-".count($done);
            $since = microtime(true);
            [$status, $text] = $person->persist(
                'POST', "/attempts/$his/acts",
                ['id' => $id, 'at_s' => $t, 'act' => 'look', 'part' => 'board'], 30,
            );
            if ($status === 409) { // not so far yet: on to what happens next
                [$status, $text] = $person->persist('POST', "/attempts/$his/next", [], 30);
                $t = json_decode($text, true)['now_s'] ?? $t;

                continue;
            }
            $status === 200 || fail("act $id: $status ".substr($text, 0, 200));
            $longest = max($longest, microtime(true) - $since);
            $done[] = $id;
            usleep(100_000);
        }
        file_put_contents(getenv('SPARK_SCALE')."/done-$n", json_encode([$done, $longest]));
        posix_kill(getmypid(), SIGKILL); // nothing of the parent's is closed
    }
    $pids[] = $pid;
}
usleep((int) (SECONDS / 3 * 1e6));
$victim = (int) file_get_contents((string) getenv('SPARK_NODE_PID'));
posix_kill($victim, SIGKILL);
say('killed the MariaDB that was written to');
foreach ($pids as $pid) {
    pcntl_waitpid($pid, $status);
}
$all = $lost = $twice = 0;
$longest = 0.0;
foreach ($people as $n => [, $his]) {
    $file = getenv('SPARK_SCALE')."/done-$n";
    is_file($file) || fail("trainee $n did not come to the end");
    [$done, $his_longest] = json_decode((string) file_get_contents($file), true);
    $longest = max($longest, $his_longest);
    $all += count($done);
    foreach ($nodes as $node) {
        $there = $kept($node, $his);
        $lost += count(array_diff($done, $there));
        $twice += count($there) - count(array_unique($there));
    }
}
check($all > 0 && $lost === 0 && $twice === 0, "$all acts of ".count($people)." trainees, one MariaDB of three killed: $lost lost, $twice twice, on both that are left");
check($longest <= LONGEST_S, sprintf('the longest wait %.1f s, at most %.0f', $longest, LONGEST_S));
