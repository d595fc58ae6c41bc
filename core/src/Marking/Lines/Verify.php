<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Quality;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Primitives;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\AttemptSafetyTest;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/** What was watched, tried and read after the repair, and how the appliance was left. */
final class Verify implements Judge
{
    private AttemptSafetyTest $trials;

    /** @var array{tried: array<string, bool>, fires: list<array{int, int}>} */
    private array $after;

    public function judge(AttemptReview $account, Rules $rules): Line
    {
        if ($account->repairs->isRightlyShutDown()) {
            return new Line('verify', 1.0, [Line::say(Words::say('marking.verify.it_was_left_so_that'))]);
        }
        $want = $rules->verify;
        $this->run($account);
        $shares = $why = [];
        if ($want['cycle']) {
            $shares[] = $this->cycle($account, $why);
        }
        if ($want['safeties'] !== 'none') {
            $shares[] = $this->safeties($account, $want['safeties'], $why);
        }
        if ($want['reading']) {
            $shares[] = $this->reading($account, $why);
        }
        if ($want['restore']) {
            $shares[] = $this->restored($account, $why);
        }

        return new Line('verify', $shares === [] ? 1.0 : array_sum($shares) / count($shares), $why);
    }

    /** The appliance run again from the last repair on, with the same acts. */
    private function run(AttemptReview $account): void
    {
        $from = ($this->lastMend($account) ?? -1) + 1;
        $state = $account->repairs->state($from);
        $this->trials = new AttemptSafetyTest($account->plan, $account->fault, new Memory());
        $this->after =
            $state === null ? ['tried' => [], 'fires' => []] : $this->trials->of($state, $account->seen, $from);
    }

    /** The entry of the last repair. */
    private function lastMend(AttemptReview $account): ?int
    {
        $mends = $account->entriesThat(Quality::Mends);

        return $mends === [] ? null : end($mends);
    }

    /** Whether it burned between two ticks. */
    private function burned(int $from, int $to): bool
    {
        return array_filter($this->after['fires'], fn (array $fire) => $fire[1] >= $from && $fire[0] <= $to) !== [];
    }

    /** @param list<array{text: string, entry: int|null}> $why */
    private function cycle(AttemptReview $account, array &$why): float
    {
        $household = $account->plan->model->household();
        $cools = $household->heat === [] && $household->cool !== [];
        $kind = $cools ? 'cooling' : 'heating';
        $done = $account->entriesThat(Quality::Restores);
        if ($done === [] && $account->repairs->isLeft()) {
            $why[] = Line::say(Words::say('marking.verify.no_cycle_was_watched_after', ['kind' => $kind]));

            return 0.0;
        }
        // what is set to try a safety and set back does not begin it anew: any whole cycle after the last repair will
        // do
        $from = $this->mended($account, $done);
        foreach ($this->cycles($account->plan) as $channel => $values) {
            foreach ($account->seen->perceived[$channel] ?? [] as [$start, $end, $value]) {
                $isOne = $start >= $from && $end > $start && in_array($value, $values, true);
                if ($isOne && ($cools || $this->burned($from, $end))) {
                    $why[] = Line::say(Words::say('marking.verify.a_cycle_was_watched_after', ['kind' => $kind]));

                    return 1.0;
                }
            }
        }
        $why[] = Line::say(Words::say('marking.verify.no_cycle_was_watched_after_the', ['kind' => $kind]));

        return 0.0;
    }

    /**
     * What shows a cycle: what the household goes by, and where that lies behind a door that is sealed, what is heard
     * with it shut, such as a fan or a pump.
     *
     * @return array<string, list<string>> values by channel
     */
    private function cycles(Plan $plan): array
    {
        $cycles = $plan->model->household()->cycle;
        $doors = $plan->model->doors();
        $part = fn (string $channel): string => Model::split($plan->percepts[$channel]['of'] ?? '')[0];
        $isSealed = array_filter(
            array_keys($cycles),
            fn (string $channel): bool => $doors->before([], $part($channel))?->sealed === true,
        ) !== [];
        foreach ($isSealed ? $plan->percepts : [] as $channel => $percept) {
            $class = Primitives::TYPES[$plan->primitives[$percept['of']]['type'] ?? ''] ?? '';
            if ($percept['from'] === 'anywhere' && is_a($class, Turns::class, true)) {
                $cycles[$channel] ??= ['runs', 'slow'];
            }
        }

        return $cycles;
    }

    /**
     * @param list<int> $restoring
     * @return int tick from which on a cycle counts
     */
    private function mended(AttemptReview $account, array $restoring): int
    {
        $last = $this->lastMend($account) ?? ($restoring === [] ? null : end($restoring));

        return $last === null ? 0 : $account->act($last)->tick;
    }

    /** @param list<array{text: string, entry: int|null}> $why */
    private function safeties(AttemptReview $account, string $wanted, array &$why): float
    {
        $trials = $this->trials;
        $tried = array_filter($this->after['tried']);
        $all = $trials->all();
        foreach (array_keys($tried) as $id) {
            $why[] = Line::say(Words::say('marking.verify.was_made_to_act_and', [
                'id' => ucfirst($trials->label($id)),
            ]));
        }
        if ($wanted === 'one' && $tried !== []) {
            return 1.0;
        }
        $left = array_diff($all, array_keys($tried));
        if ($left !== []) {
            $why[] = Line::say(Words::say('marking.verify.not_tried', [
                'left' => implode(', ', array_map($trials->label(...), $left)),
            ]));
        }

        return $wanted === 'one' ? 0.0 : ($all === [] ? 1.0 : count($tried) / count($all));
    }

    /** @param list<array{text: string, entry: int|null}> $why */
    private function reading(AttemptReview $account, array &$why): float
    {
        $mended = $this->lastMend($account) ?? -1;
        foreach ($account->entriesThat(Quality::Asks) as $i) {
            if ($i > $mended && $account->outcome($i)->reading !== null && $account->steps[$i]->flaws === []) {
                $why[] = Line::say(Words::say('marking.verify.a_reading_was_taken_after'), $i);

                return 1.0;
            }
        }
        $why[] = Line::say(Words::say('marking.verify.no_reading_was_taken_after'));

        return 0.0;
    }

    /** @param list<array{text: string, entry: int|null}> $why */
    private function restored(AttemptReview $account, array &$why): float
    {
        $back = $account->entries(['hand_back']);
        if ($back === []) {
            $why[] = Line::say(Words::say('marking.verify.the_call_was_not_closed'));

            return 0.0;
        }
        $fine = $account->outcome($back[0])->dangers === [];
        $why[] = Line::say(
            $fine
                ? Words::say('marking.verify.everything_was_put_back')
                : Words::say('marking.verify.not_everything_was_put_back'),
            $back[0],
        );

        return $fine ? 1.0 : 0.0;
    }
}
