<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Acts\ActionLog;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Wording;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;

/** The log with readings, and the sequence as it ran. */
final class Run extends Verb
{
    protected const NAME = 'run';

    protected const ABOUT = 'the log with readings, and the sequence as it ran';

    protected const TAKES = ['fault', 'actions', 'visit', 'until'];

    protected function answer(): Answer
    {
        $plan = $this->plan();
        $log = $this->log();
        $attempt = $this->attempt($log, $this->has('until') ? $this->seconds('until') : null);
        $states = $this->sequence($attempt, $log);
        $wording = new Wording($plan->model);
        $text = 'The customer says: '.implode(' ', array_column($attempt->arrival->complaint, 'text'))."\n";
        foreach ($attempt->observations->entries as [$act, $outcome]) {
            $text .= sprintf("%9.3f s  %s\n", $act->tick / 1000, $wording->entry($act, $outcome));
        }
        foreach ($attempt->observations->perceived as $channel => $stretches) {
            foreach ($stretches as [$from, $to, $value]) {
                if (is_string($value)) {
                    $text .= sprintf(
                        "%9.3f s  to %.3f s  %s\n",
                        $from / 1000,
                        $to / 1000,
                        $attempt->bench->perception()->say($channel, $value),
                    );
                }
            }
        }
        foreach ($states as $s) {
            $text .= sprintf("%9.3f s  %s: %s\n", $s['from_s'], $s['control'], $s['state']);
        }

        return new Answer(
            [
                'model' => $plan->model->name(),
                'complaint' => $attempt->arrival->complaint,
                'labour_minutes' => $attempt->state->labour,
                'observations' => $attempt->observations->toArray(),
                'sequence' => $states,
            ],
            $text,
        );
    }

    /**
     * The states of every control as they followed each other, from the arrival on.
     *
     * @return list<array{control: string, state: string, from_s: float}>
     */
    private function sequence(Attempt $attempt, ActionLog $log): array
    {
        $plan = $this->plan();
        $bench = new Bench($plan, $attempt->bench->fault, new Memory(), $log->seed);
        $state = $bench->arrive($this->visit($log))->state;
        $state = $bench->resume($state);
        $controls = $plan->those(Decides::class);
        $rows = [];
        $last = [];
        $note = function (BenchState $s) use (&$rows, &$last, $controls): bool {
            foreach ($controls as $id) {
                $now = $s->slots[$id]['state'];
                if (($last[$id] ?? null) !== $now) {
                    $rows[] = ['control' => $id, 'state' => $now, 'from_s' => $s->now() / 1000];
                    $last[$id] = $now;
                }
            }

            return false;
        };
        $note($state);
        foreach ($log->acts as $act) {
            $state = $bench->watch($state, $act->tick, $note);
            [$state] = $bench->do($state, $act);
            $note($state);
        }
        $bench->watch($state, $attempt->observations->until, $note);

        return $rows;
    }
}
