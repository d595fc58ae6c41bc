<?php

namespace App\Work;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Tasks\WorkError;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Drawing\Board;
use OddSpark\Faults\Fault;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Swap;
use OddSpark\WiringUp\Task;

/**
 * A control is swapped for another make at the bench: its wires moved over, its link cut, its switch set. It is judged
 * as a wiring is. The job keeps {@see Swap::toArray} beside what there is to go by.
 */
class Swapping extends WiringUp
{
    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $swap = Swap::of($plan->model, $visit, $seed)
            ?? throw new WorkError('This appliance has no control with enough wires to be swapped.');
        $bare = $swap->bare();
        $board = json_decode($appliance->board, true);
        $found = (new Bench(Compiler::compile($bare), Fault::none(), new Memory()))->arrive($visit);
        $sheet = $swap->toArray() + [
            'picture' => array_diff_key($board, ['ladder' => 1]),
            'described' => (new Judge($plan, $visit))->described(),
        ];

        return new Frozen(
            $bare->hash(),
            Appliance::encode($bare->document),
            Appliance::encode(Board::of($bare, $board)),
            [Fault::HEALTHY => $found],
            $found,
            $sheet,
        );
    }

    protected function task(Assignment $assignment): Task
    {
        return self::swap($assignment)->task;
    }

    protected function wired(Assignment $assignment, Attempt $attempt): Model
    {
        $swap = self::swap($assignment);
        $state = BenchState::fromArray(Snapshot::unpack($attempt->refresh()->state));
        $position = $swap->lever() === null ? null : $state->slots[$swap->lever()]['at'];

        return $swap->fitted(self::laid($state, $attempt), self::loose($state, $swap->bare()), $position);
    }

    private static function swap(Assignment $assignment): Swap
    {
        return Swap::from($assignment->sheet ?? []);
    }
}
