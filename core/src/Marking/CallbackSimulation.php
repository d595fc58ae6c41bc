<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\OpenCalls;
use OddSpark\Faults\Fault;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Complaint;
use OddSpark\Senses\Lived;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;

/**
 * After the hand-back: the appliance is run on as it was left, the household lives with it, and what the
 * customer would then say is computed as it was before the visit. A cured symptom with the cause left comes back.
 */
final readonly class CallbackSimulation
{
    /** Hours that it is run on. Ours: long enough for a room to go cold or a limit to trip again. */
    public const HOURS = 6;

    /** @param list<string> $said what the customer says, worded; empty when he has nothing to say */
    private function __construct(public array $said) {}

    /**
     * @param BenchState $state as it was handed back
     * @param BenchState $sound a sound appliance of the kind, as it is found: what is said of it too is no reason to
     *     call
     */
    public static function of(Plan $plan, Fault $fault, BenchState $state, BenchState $sound, Memory $memory): self
    {
        $usual = array_column(self::lived($plan, Fault::none(), $sound, $memory), 'id');
        $said = self::lived($plan, $fault, $state, $memory);

        return new self(
            array_column(
                array_filter($said, fn (array $c) => $c['id'] !== 'works' && ! in_array($c['id'], $usual, true)),
                'text',
            ),
        );
    }

    public function isCalledBack(): bool
    {
        return $this->said !== [];
    }

    /**
     * @return list<array{id: string, text: string}>
     */
    private static function lived(Plan $plan, Fault $fault, BenchState $state, Memory $memory): array
    {
        $bench = new Bench($plan, $fault, $memory);
        $state = $bench->resume($state);
        $perception = new Perception($plan);
        $heard = new Record();
        $from = $state->tick;
        $until = $from + self::HOURS * 3_600_000;
        $household = $plan->model->household();
        $calls = new OpenCalls($household);
        $hear = function (BenchState $s) use ($bench, $heard, $perception, $from, $calls): bool {
            $calls->hear($s);
            $heard->see($s->tick - $from, $perception->at($bench->machine(), $s, Doors::ALL, Perception::EVERYWHERE));

            return false;
        };
        $hear($state);
        $end = $bench->watch($state, $until - $state->zero, $hear);
        $value = fn (string $process): float => $end->value($process);
        $waiting = $calls->waiting($end->tick);
        $rooms = array_map(fn (array $room) => [
            'name' => $room['name'], 'now' => $value($room['of']), 'wants' => $room['wants'],
            'blank' => $room['display'] !== null && $bench->machine()->shows($end, $room['display']) === 'blank',
            'calling' => in_array($room['of'], $waiting, true),
        ], $household->rooms);

        return Complaint::of(
            $household,
            Lived::by($household, $end, $heard->until($until - $from), $rooms, array_map(
                fn (array $s): array => [$s[0] - $from, $s[1] - $from],
                $calls->until($end->tick),
            )),
        );
    }
}
