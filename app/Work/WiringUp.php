<?php

namespace App\Work;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Entry;
use App\Tasks\WorkError;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Schema;
use OddSpark\Bench\Bench;
use OddSpark\Drawing\Board;
use OddSpark\Faults\Fault;
use OddSpark\Marking\Rules;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;
use OddSpark\WiringUp\Advice;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Replay;
use OddSpark\WiringUp\Task;

/**
 * An appliance is wired at the bench: some of its wires, or all, are not there yet.
 *
 * The job keeps the sound appliance beside what is found: {sound, missing, shown, described}.
 *
 * @phpstan-import-type Laid from Task
 */
class WiringUp implements KindOfWork
{
    /** Gauges in the van. */
    private const AWG = [18, 16, 14, 12, 10];

    /** Fewer wires of a control circuit are no job. */
    private const LEAST = 4;

    private const MM2 = [0.5, 0.75, 1, 1.5, 2.5];

    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $task = Task::of($plan->model, $asked->wires, $seed);
        if ($asked->wires === 'control' && count($task->missing) < self::LEAST) {
            throw new WorkError('Nearly all of this appliance is wired for the line. Take all wires, or a third.');
        }
        $bare = $task->bare();
        $board = json_decode($appliance->board, true);
        $drawn = Board::of($bare, $board);
        if ($asked->shown === 'drawing') {
            $drawn['ladder'] = $board['ladder'];
        }
        $found = (new Bench(Compiler::compile($bare), Fault::none(), new Memory()))->arrive($visit);
        $sheet = [
            'sound' => json_decode($appliance->document, true),
            'missing' => $task->missing,
            'picture' => $asked->shown === 'picture' ? array_diff_key($board, ['ladder' => 1]) : null,
            'described' => (new Judge($plan, $visit))->described(),
        ];

        return new Frozen(
            $bare->hash(),
            Appliance::encode($bare->document),
            Appliance::encode($drawn),
            [Fault::HEALTHY => $found],
            $found,
            $sheet,
        );
    }

    public function hasSuspects(): bool
    {
        return false;
    }

    public function hint(Attempt $attempt, string $grade, ?Entry $before, callable $tell): string
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $task = $this->task($assignment);
        $judge = new Judge(Compiler::compile($task->sound), $assignment->visit);
        $tell(0.5);

        return (new Advice($task))->of($grade, $judge->of($this->wired($assignment, $attempt)));
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $task = $this->task($assignment);
        $judge = new Judge(Compiler::compile($task->sound), $assignment->visit);
        $wired = $this->wired($assignment, $attempt);
        $verdict = $judge->of($wired);
        [$dangers, $hints] = AtBench::counted($attempt);

        return [
            fn (Rules $rules) => $verdict->mark($rules, $dangers, $hints),
            fn (): array => WiringDebrief::of($verdict, new Replay($verdict, $judge), $this->bench($wired)),
        ];
    }

    public function past(Attempt $attempt, Assignment $assignment): array
    {
        $past = $attempt->debrief['past'] ?? ['perceived' => [], 'meter' => []];

        return ['perceived' => (object) $past['perceived']] + $past;
    }

    /**
     * What there is to wire by; null where the job is another.
     *
     * @return array<string, mixed>|null
     */
    public static function told(Assignment $job): ?array
    {
        if (! in_array($job->work, [AssignmentWork::Wire, AssignmentWork::Swap], true)) {
            return null;
        }
        $sheet = Assignment::query()->select(['id', 'sheet'])->findOrFail($job->id)->sheet ?? [];
        $metric = $sheet['sound']['supply']['region'] === 'EU';

        return [
            'described' => $sheet['described'],
            'picture' => $sheet['picture'],
            'colours' => Schema::wireColours(),
            'gauges' => $metric ? self::MM2 : self::AWG,
            'metric' => $metric,
            'missing' => count($sheet['missing']),
            'leaflet' => $sheet['leaflet'] ?? null,
            'part' => $sheet['part'] ?? null,
            'card' => $sheet['card'] ?? [],
        ];
    }

    protected function task(Assignment $assignment): Task
    {
        return new Task(new Model($assignment->sheet['sound'] ?? []), $assignment->sheet['missing'] ?? []);
    }

    /** The appliance as somebody has wired it by now: what is clipped on counts as what it does. */
    protected function wired(Assignment $assignment, Attempt $attempt): Model
    {
        $task = $this->task($assignment);
        $state = BenchState::fromArray(Snapshot::unpack($attempt->refresh()->state));

        return $task->with(self::laid($state, $attempt), self::loose($state, $task->bare()));
    }

    /** @return list<Laid> wires that were run */
    protected static function laid(BenchState $state, Attempt $attempt): array
    {
        return array_map(fn (array $run): array => [
            'from' => $run[0], 'to' => $run[1],
        ] + self::chosen($attempt, $run[0], $run[1]), array_values($state->jumpers));
    }

    /** @return list<string> wires of those it was found with that hang loose */
    protected static function loose(BenchState $state, Model $bare): array
    {
        return array_values(array_filter(
            array_map(strval(...), array_keys($bare->wires())),
            fn (string $id): bool => ! $state->isLanded("$id.a") || ! $state->isLanded("$id.b"),
        ));
    }

    /** @return array{colour?: string, awg?: int, mm2?: float} what was chosen for a wire when it was run */
    private static function chosen(Attempt $attempt, string $from, string $to): array
    {
        $entry = $attempt->entries->last(
            fn (Entry $e): bool => $e->act['act'] === 'run_wire' && [$e->act['from'], $e->act['to']] === [$from, $to],
        );

        return array_intersect_key($entry->act ?? [], ['colour' => 1, 'awg' => 1, 'mm2' => 1]);
    }

    private function bench(Model $wired): Bench
    {
        return new Bench(Compiler::compile($wired), Fault::none(), new Memory());
    }
}
