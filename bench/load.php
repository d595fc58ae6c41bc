<?php

// A hundred trainees at once, as their browsers are: each acts every five seconds, for half of them time runs, and what
// lies ahead is asked for as the page asks. Each has a line open on which he is told things; an instructor has the
// wall open; every few seconds somebody hands back, and the workers mark. Once in practice, once in an examination.
//
// What is timed is an act as its trainee waits for it: from when he does it, also where a question of his page is on
// its way before it, to its answer. In the end every act that was answered is looked for in the database.

declare(strict_types=1);

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Entry;
use App\Models\Role;
use App\Models\User;

require_once __DIR__.'/../ops/trials/lib/client.php';

/** Seconds before the end of what is known at which the page asks for more, where answers come soon. */
const ASK_AHEAD_S = 0.5;

/** One browser: what it has on its way, and what waits behind that. */
final class Trainee
{
    public float $now = 0.0;

    public float $until = 0.0;

    /** When, by the wall's clock, the bench stood at {@see $now}. */
    public float $at = 0.0;

    /** @var list<array{string, float}> what he has done and what is on its way before it: kind, when */
    public array $waiting = [];

    public ?CurlHandle $busy = null;

    /** @var list<string> acts that were answered */
    public array $done = [];

    public function __construct(
        public readonly Person $person,
        public readonly int $attempt,
        public readonly bool $plays,
        /** @var list<array<string, string>> acts, in turn */
        public readonly array $acts,
    ) {}

    /** Where the bench stands by now, s: no further than what is known. */
    public function time(float $wall): float
    {
        return $this->plays ? min($this->until, $this->now + $wall - $this->at) : $this->now;
    }
}

return function (int $people, int $seconds): array {
    database();
    $instructor = User::query()->where('role', Role::Instructor)->orderBy('id')->firstOrFail();
    $models = [
        'furnace-80' => ['limit:stuck-open', [
            ['act' => 'leads', 'red' => 'board.R', 'black' => 'board.C'],
            ['act' => 'leads', 'red' => 'board.W', 'black' => 'board.C'],
            ['act' => 'look', 'part' => 'board'],
            ['act' => 'leads', 'red' => 'limit.a', 'black' => 'board.C'],
            ['act' => 'look', 'part' => 'thermostat'],
        ]],
        'zones-hydronic' => ['zv1:end-open', [
            ['act' => 'leads', 'red' => 'panel.R', 'black' => 'panel.C'],
            ['act' => 'leads', 'red' => 'zv1.M1', 'black' => 'panel.C'],
            ['act' => 'look', 'part' => 'zv1'],
            ['act' => 'leads', 'red' => 'zv1.E1', 'black' => 'panel.C'],
            ['act' => 'feel', 'part' => 'zv1'],
        ]],
    ];
    $course = Course::query()->create(['name' => 'A hundred', 'instructor_id' => $instructor->id]);
    $users = [];
    for ($i = 0; $i < $people; $i++) {
        $users[] = User::query()->create([
            'name' => "Load $i",
            'email' => "load-$i@demo.example",
            'role' => Role::Trainee,
            'password' => 'copper-lamp',
        ]);
    }
    $course->trainees()->sync(array_column($users, 'id'));
    $signIn = fn (User $u): Person => Person::signedIn((string) strstr($u->email, '@', true));
    $persons = array_map($signIn, $users);
    $watcher = $signIn($instructor);
    $rows = [];
    foreach (['practice' => AssignmentKind::Practice, 'examination' => AssignmentKind::Exam] as $word => $kind) {
        $trainees = [];
        $jobs = [];
        foreach ($models as $name => [$fault, $acts]) {
            $jobs[$name] = app(AssignJob::class)->give(
                $instructor, Appliance::query()->where('name', $name)->firstOrFail(), $course,
                array_column($users, 'id'), "Load $word $name", $fault, 'cold', $kind, null, 7,
            );
        }
        foreach ($persons as $i => $person) {
            $name = array_keys($models)[$i % 2];
            $attempt = attempt($person, $jobs[$name]->id);
            $trainees[] = new Trainee($person, $attempt, $i % 4 < 2, $models[$name][1]);
        }
        $rows += measureLoad($word, $trainees, $watcher, $course->id, $seconds);
    }
    Assignment::query()->where('course_id', $course->id)->delete();
    User::query()->where('email', 'like', 'load-%@demo.example')->delete();
    $course->delete();

    return $rows;
};

/**
 * @param list<Trainee> $trainees
 * @return array<string, array{measured: float|int, bar: float|int, notes: string}>
 */
function measureLoad(string $word, array $trainees, Person $watcher, int $course, int $seconds): array
{
    $horizon = $word === 'practice' ? 10.0 : 2.0;
    $all = curl_multi_init();
    $lines = []; // held open, as the pages hold them
    $hold = function (Person $person, string $path) use ($all, &$lines): void {
        $lines[] = $curl = $person->prepare('GET', $path, null, 3600, 'text/event-stream');
        curl_multi_add_handle($all, $curl);
    };
    $hold($watcher, "/live/wall/$course");
    foreach ($trainees as $trainee) {
        $hold($trainee->person, "/live/bench/{$trainee->attempt}");
    }
    $begun = microtime(true);
    $due = new SplPriorityQueue();
    $plan = fn (string $kind, ?int $who, float $at) => $due->insert([$kind, $who, $at], -$at);
    foreach ($trainees as $i => $trainee) {
        [$trainee->until, $trainee->at] = [$horizon, $begun];
        $plan('act', $i, $begun + 5.0 * ($i + 1) / count($trainees));
    }
    $plan('watch', null, $begun + 3);
    $plan('hand back', count($trainees) - 1, $begun + 5);
    $took = $asks = [];
    $bad = [];
    $answered = $handed = $requests = 0;
    $flight = [];
    $send = function (int $i, float $wall) use (&$trainees, $all, &$flight, &$requests): void {
        $t = $trainees[$i];
        if ($t->busy !== null || $t->waiting === []) {
            return;
        }
        [$kind, $since] = array_shift($t->waiting);
        $time = round($t->time($wall), 3);
        $id = null;
        [$path, $body] = match ($kind) {
            'ask' => ['play', ['to_s' => $time]],
            'hand back' => ['acts', ['id' => $id = bin2hex(random_bytes(8)), 'at_s' => $time, 'act' => 'hand_back']],
            default => ['acts', ['id' => $id = bin2hex(random_bytes(8)), 'at_s' => $time] +
                $t->acts[count($t->done) % count($t->acts)]],
        };
        $t->busy = $t->person->prepare('POST', "/attempts/$t->attempt/$path", $body, 60);
        curl_multi_add_handle($all, $t->busy);
        $flight[spl_object_id($t->busy)] = [$i, $kind, $since, $id];
        $requests++;
    };
    $watching = null;
    do {
        $wall = microtime(true);
        while (! $due->isEmpty() && $due->top()[2] <= $wall) {
            [$kind, $i, $at] = $due->extract();
            if ($kind === 'watch') { // what the wall asks every ten seconds
                $watching = $watcher->prepare('GET', "/courses/$course/wall/curves", null, 60);
                curl_multi_add_handle($all, $watching);
                $plan('watch', null, $at + 10);
                $requests++;

                continue;
            }
            if ($kind === 'hand back') {
                $trainees[$i]->waiting[] = ['hand back', $at];
                $handed++;
                if ($i > count($trainees) / 2) {
                    $plan('hand back', $i - 1, $at + 4);
                }
            } elseif ($i < count($trainees) - $handed) { // whoever has handed back is at his debrief
                $trainees[$i]->waiting[] = ['act', $at];
                $plan('act', $i, $at + 5);
            }
            $send($i, $wall);
        }
        foreach ($trainees as $i => $t) { // as the page asks: before what it knows has been played
            $isThere = $t->plays && $t->busy === null && $i < count($trainees) - $handed;
            if ($isThere && $t->until - $t->time($wall) < ASK_AHEAD_S) {
                $t->waiting[] = ['ask', $wall];
                $send($i, $wall);
            }
        }
        curl_multi_exec($all, $running);
        while (($one = curl_multi_info_read($all)) !== false) {
            $curl = $one['handle'];
            $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
            $text = (string) curl_multi_getcontent($curl);
            curl_multi_remove_handle($all, $curl);
            if (! isset($flight[spl_object_id($curl)])) {
                $status === 200 || $bad[] = "$status ".substr($text, 0, 100);

                continue;
            }
            [$i, $kind, $since, $id] = $flight[spl_object_id($curl)];
            unset($flight[spl_object_id($curl)]);
            $t = $trainees[$i];
            $t->busy = null;
            $ms = 1000 * (microtime(true) - $since);
            if ($status !== 200) {
                $bad[] = "$kind: $status ".substr($text, 0, 100);

                continue;
            }
            $reply = json_decode($text, true);
            $t->now = max($t->time(microtime(true)), (float) $reply['now_s']);
            [$t->until, $t->at] = [(float) $reply['until_s'], microtime(true)];
            if ($kind === 'ask') {
                $asks[] = $ms;
            } else {
                $took[] = $ms;
                $t->done[] = (string) $id;
                $answered++;
            }
            $send($i, microtime(true));
        }
        curl_multi_select($all, 0.003);
        $gone = microtime(true) - $begun;
    } while ($gone < $seconds || $flight !== [] && $gone < $seconds + 30);
    array_map(fn (CurlHandle $c) => curl_multi_remove_handle($all, $c), $lines);
    $lost = 0;
    foreach ($trainees as $t) {
        $kept = Entry::query()->where('attempt_id', $t->attempt)->pluck('client_id')->all();
        $lost += count(array_diff($t->done, $kept)) + count($kept) - count(array_unique($kept));
    }
    $attempts = Attempt::query()->whereKey(array_map(fn (Trainee $t) => $t->attempt, $trainees));
    $marked = $attempts->whereNotNull('mark')->count();
    foreach (array_count_values($bad) as $what => $times) {
        fwrite(STDERR, "  $times times: $what\n");
    }

    return [
        count($trainees)." at once, $word: an act, p95, ms" => [
            'measured' => percentile($took, 0.95),
            'bar' => 300,
            'notes' => sprintf(
                'median %.0f, worst %.0f of %d acts; asks p95 %.0f of %d; %.1f requests a second; %d of %d marked',
                percentile($took, 0.5),
                max($took ?: [0.0]),
                count($took),
                percentile($asks, 0.95),
                count($asks),
                $requests / $seconds,
                $marked,
                $handed,
            ),
        ],
        count($trainees)." at once, $word: errors, and acts lost or done twice" => [
            'measured' => count($bad) + $lost,
            'bar' => 0,
            'notes' => sprintf('%d errors, %d lost or twice', count($bad), $lost),
        ],
    ];
}
