<?php

declare(strict_types=1);

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
                            fn (string $lever) => [
                                'set',
                                'lever' => $lever,
                                'to' => $kind->settings[$lever]->ends()[0],
                            ],
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
