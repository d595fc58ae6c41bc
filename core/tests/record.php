<?php

declare(strict_types=1);

/*
 * The record: a digest of what is computed for every call, worked attempt and model. A change that is meant to change
 * nothing
 * leaves it the same to the byte; one that is meant to shows where.
 *
 *   php core/tests/record.php            compares with core/tests/record.txt, says what differs
 *   php core/tests/record.php --write    writes it anew
 *   php core/tests/record.php --keep DIR also keeps the whole texts, for diff
 *   … [--processes N] [NAME…]            only what begins with these names
 */

namespace OddSpark\Tests;

use OddSpark\Acts\ActError;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Bench\Wording;
use OddSpark\Building\HealthyRun;
use OddSpark\Building\Parameters;
use OddSpark\Building\SafetyTest;
use OddSpark\Building\Why;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Ladder;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Debrief;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Run\SpiceDeck;
use OddSpark\Suspects\NextSteps;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Marking\Marking;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Nets;

require is_file(__DIR__.'/../vendor/autoload.php')
    ? __DIR__.'/../vendor/autoload.php'
    : __DIR__.'/../../vendor/autoload.php';

/** All that is recorded, as texts by name. */
final class Recorded
{
    /** @return array<string, \Closure(): mixed> */
    public static function all(): array
    {
        $all = [];
        foreach ((new Library())->names() as $name) {
            foreach (get_class_methods(self::class) as $method) {
                if (str_starts_with($method, 'model')) {
                    $all["model $name ".strtolower(substr($method, 5))] = fn () => self::{$method}($name);
                }
            }
        }
        foreach (['call' => 'calls', 'worked' => 'worked'] as $what => $folder) {
            foreach (glob(__DIR__."/$folder/*.json") ?: [] as $file) {
                $all["$what ".basename($file, '.json')] = fn () => self::attempt(
                    json_decode((string) file_get_contents($file), true),
                );
            }
        }

        return $all;
    }

    /**
     * A run, what is suspected after each entry, the mark and the debrief.
     *
     * @param array<string, mixed> $worked
     */
    private static function attempt(array $worked): mixed
    {
        $plan = TestRig::plan($worked['model']);
        $faultSet = FaultSet::of($plan->model);
        $rules = Marking::rules($worked['rules'] ?? 'first-year');
        $entries = array_map(
            fn (array $e) => array_intersect_key($e, ['at_s' => 1, 'act' => 1] + Catalogue::all()[$e['act']]::fields()),
            $worked['entries'],
        );
        $log = ActionLog::of(['odd_spark_actions' => 1, 'seed' => $worked['seed'] ?? 7, 'entries' => $entries]);
        $fault = $faultSet->get($worked['fault']);
        $memory = new Memory();
        $attempt = Attempt::run(
            $plan,
            $fault,
            $log,
            $worked['visit'],
            $memory,
            null,
            Kit::of($worked['kit'] ?? []),
            $rules->stops,
        );
        $seen = $attempt->observations;
        $tracker = new Tracker($plan, $faultSet, $seen->visit, $memory);
        $steps = $tracker->follow($seen);
        $left = end($steps);
        [$choices] = (new NextSteps($plan, $faultSet, $memory))->of($tracker->candidates(), $left->weights);
        $account = Marking::account($plan, $faultSet, $worked['fault'], $seen);

        return [
            'complaint' => $attempt->arrival->complaint,
            'state' => self::sorted($attempt->state->toArray()),
            'seen' => $seen->toArray(),
            'log' => array_map(fn (array $e) => (new Wording($plan->model))->entry(...$e), $seen->entries),
            'suspects' => array_map(fn ($step) => [$step->count(), $step->unknownShare(), $step->ranked()], $steps),
            'next' => array_map(fn ($c) => $c->toArray(), $choices),
            'mark' => Marker::of($account)->mark($rules)->toArray(),
            'debrief' => (new Debrief($account))->toArray(),
            'spice' => SpiceDeck::of(
                $attempt->bench->machine(),
                $attempt->state,
                $fault->id,
                $attempt->state->tick / 1000,
                false,
            ),
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private static function sorted(array $state): array
    {
        $state += $state['taps'] + [
            'gauge' => null,
            'probe' => null,
            'draught' => null,
            'analyser' => null,
            'smoke' => null,
            'oil_gauge' => null,
        ];
        unset($state['taps']);
        if ($state['unsaid'] === []) {
            unset($state['unsaid']);
        }
        ksort($state);

        return $state;
    }

    private static function modelDocument(string $name): mixed
    {
        $plan = TestRig::plan($name);

        return [$plan->hash, $plan->toArray(), array_map(get_object_vars(...), FaultSet::of($plan->model)->faults)];
    }

    private static function modelWiring(string $name): mixed
    {
        $model = TestRig::plan($name)->model;

        return [array_map(get_object_vars(...), Checks::of($model)), Circuits::of(new Nets($model))];
    }

    private static function modelDrawing(string $name): mixed
    {
        $model = TestRig::plan($name)->model;

        return [Board::of($model), Ladder::of($model)];
    }

    /** What is asked of a healthy run: every safety, why things are off, volts; and figures of every part. */
    private static function modelBuilding(string $name): mixed
    {
        $plan = TestRig::plan($name);
        $visit = $plan->model->visits()[0];
        $run = new HealthyRun($plan, $visit, 3000);
        $why = new Why($run);
        $figures = [];
        foreach ($plan->model->parts() as $id => $part) {
            $figures[$id] = Parameters::of($part->kind, $part->params, $plan->model->region());
        }

        return [
            (new SafetyTest($plan, $visit))->report(),
            array_map(fn (array $a) => [$a, $why->of($a['id'])], $why->askable()),
            $run->everywhere(),
            $figures,
        ];
    }

    /** What the bench says to every act on every part: whether it can be done, what it risks, what it does. */
    private static function modelHands(string $name): mixed
    {
        $plan = TestRig::plan($name);
        $faultSet = FaultSet::of($plan->model);
        $visit = $plan->model->visits()[0];
        $place = static function (string $part) use ($plan): string {
            foreach (array_keys($plan->places) as $place) {
                if (str_starts_with((string) $place, "$part.")) {
                    return (string) $place;
                }
            }

            return $part;
        };
        $bench = new \OddSpark\Bench\Bench($plan, $faultSet->get('healthy'), new Memory(), 7);
        $found = [];
        foreach (['shut', 'open'] as $door) {
            foreach (array_keys($plan->model->parts()) as $part) {
                $kind = $plan->model->kindOf((string) $part);
                $own = array_values(
                    array_filter(array_keys($plan->places), fn (string $p) => str_starts_with($p, "$part.")),
                );
                foreach (
                    [
                        ['look'],
                        ['listen'],
                        ['feel'],
                        ['turn'],
                        ['push', 'to' => 'in'],
                        ['suck', 'to' => 'on'],
                        ['tap'],
                        ['clock'],
                        ['batteries'],
                        ['reset'],
                        ['fuse', 'amps' => 0],
                        ['fuse', 'amps' => 30],
                        ['mend', 'how' => 'replace'],
                        ['mend', 'how' => 'clean'],
                        ['plug', 'to' => 'off'],
                        ['spare', 'spare' => (string) array_key_first($kind->spares ?: ['x' => 1])],
                        ['jump', 'from' => $own[0] ?? $part, 'to' => end($own) ?: $part],
                        ['tester', 'place' => $place((string) $part)],
                        ...array_map(
                            fn (string $lever) => ['set', 'lever' => $lever, 'to' => $kind->settings[$lever]->ends()[0]],
                            array_keys($kind->settings),
                        ),
                    ] as $with
                ) {
                    $name = array_shift($with);
                    $json =
                        ['at_s' => 5, 'act' => $name] +
                        $with +
                        (isset(Catalogue::all()[$name]::fields()['part']) ? ['part' => (string) $part] : []);
                    $state = $bench->arrive($visit)->state->with(open: $door === 'open' ? Doors::ALL : []);
                    $state = $bench->resume($state);
                    try {
                        [$after, $outcome] = $bench->do($state, Catalogue::act($json));
                        $was = self::sorted($state->toArray());
                        $changed = array_filter(
                            self::sorted($after->toArray()),
                            fn ($v, $k) => $k !== 'slots' && ($was[$k] ?? null) !== $v,
                            ARRAY_FILTER_USE_BOTH,
                        );
                        $found[] = [
                            $json,
                            $door,
                            $outcome->seen,
                            $outcome->reading?->toArray(),
                            $outcome->refused,
                            $outcome->dangers,
                            $changed,
                            hash('sha256', serialize($after->slots)),
                        ];
                    } catch (ActError|\OddSpark\Run\RunError $e) {
                        $found[] = [$json, $door, $e->getMessage()];
                    }
                }
            }
        }

        return $found;
    }
}

$words = array_slice($argv, 1);
$option = function (string $name) use (&$words): ?string {
    $at = array_search($name, $words, true);
    if ($at === false) {
        return null;
    }

    return (string) array_splice($words, (int) $at, 2)[1];
};
$keep = $option('--keep');
$processes = (int) ($option('--processes') ?? 2);
$write = in_array('--write', $words, true);
$only = array_values(array_diff($words, ['--write']));

$all = array_filter(
    Recorded::all(),
    fn (string $name) => $only === [] || array_filter($only, fn (string $o) => str_starts_with($name, $o)) !== [],
    ARRAY_FILTER_USE_KEY,
);
$into = (string) tempnam(sys_get_temp_dir(), 'record');
$children = [];
for ($n = 0; $n < $processes; $n++) {
    $pid = pcntl_fork();
    if ($pid !== 0) {
        $children[] = $pid;

        continue;
    }
    $lines = '';
    foreach (array_values(array_map(null, array_keys($all), $all)) as $i => [$name, $make]) {
        if ($i % $processes === $n) {
            $text = json_encode(
                $make(),
                JSON_THROW_ON_ERROR |
                    JSON_PRETTY_PRINT |
                    JSON_UNESCAPED_UNICODE |
                    JSON_PRESERVE_ZERO_FRACTION |
                    JSON_PARTIAL_OUTPUT_ON_ERROR,
            );
            $lines .= hash('sha256', $text)." $name\n";
            if ($keep !== null) {
                @mkdir($keep, 0777, true);
                file_put_contents("$keep/".strtr($name, ' ', '-').'.json', $text);
            }
        }
    }
    file_put_contents("$into.$n", $lines);
    exit(0);
}
$failed = false;
foreach ($children as $pid) {
    pcntl_waitpid($pid, $status);
    $failed = $failed || $status !== 0;
}
$now = [];
for ($n = 0; $n < $processes; $n++) {
    foreach (file("$into.$n", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        $now[substr($line, 65)] = substr($line, 0, 64);
    }
    @unlink("$into.$n");
}
unlink($into);
ksort($now);
$file = __DIR__.'/record.txt';
$then = [];
foreach (is_file($file) ? file($file, FILE_IGNORE_NEW_LINES) ?: [] : [] as $line) {
    $then[substr($line, 65)] = substr($line, 0, 64);
}
if ($write) {
    $then = $now + $then;
    $now += $only === [] ? [] : $then;
    ksort($now);
    file_put_contents(
        $file,
        implode('', array_map(fn (string $name, string $digest) => "$digest $name\n", array_keys($now), $now)),
    );
}
$differ = array_keys(
    array_filter($now, fn (string $digest, string $name) => ($then[$name] ?? '') !== $digest, ARRAY_FILTER_USE_BOTH),
);
$missing = $only === [] ? array_diff_key($then, $now) : [];
foreach ($differ as $name) {
    echo "differs: $name\n";
}
foreach (array_keys($missing) as $name) {
    echo "is no longer there: $name\n";
}
printf("%d recorded, %d differ\n", count($now), count($differ) + count($missing));
exit($failed || ! $write && ($differ !== [] || $missing !== []) ? 1 : 0);
