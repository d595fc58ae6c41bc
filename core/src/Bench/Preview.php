<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Words\Words;

/**
 * How an appliance goes on after an arrival when nobody does anything but look: its door off and its
 * switch held. For those who may know the fault: an instructor, a chart, a test.
 */
final readonly class Preview
{
    /**
     * @param array<string, list<array{int, int, mixed}>> $perceived stretches by channel
     * @param array<string, list<array{from: int, to: int, state: string, title: string}>> $states by control
     */
    private function __construct(
        public Bench $bench,
        public Arrival $arrival,
        public array $perceived,
        public array $states,
        public int $until,
    ) {}

    /** @param int $until ticks after the arrival */
    public static function of(Plan $plan, Fault $fault, string $visit, int $until, Memory $memory = new Memory()): self
    {
        $bench = new Bench($plan, $fault, $memory);
        $arrival = $bench->arrive($visit);
        $state = $arrival->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE);
        $state = $bench->resume($state);
        $controls = $plan->those(Decides::class);
        $states = array_fill_keys($controls, []);
        $note = function (BenchState $s) use ($bench, $controls, $plan, &$states): bool {
            $tick = $s->now();
            $bench->record->see($tick, $bench->now($s));
            foreach ($controls as $id) {
                $now = $s->slots[$id]['state'];
                $last = array_key_last($states[$id]);
                if ($last !== null) {
                    $states[$id][$last]['to'] = $tick;
                }
                if ($last === null || $states[$id][$last]['state'] !== $now) {
                    $states[$id][] = [
                        'from' => $tick,
                        'to' => $tick,
                        'state' => $now,
                        'title' => $plan->primitives[$id]['spec']['table']['states'][$now]['title'] ?? Words::say(
                            'bench.preview.without_power',
                        ),
                    ];
                }
            }

            return false;
        };
        $note($state);
        $bench->watch($state, $until, $note);

        return new self($bench, $arrival, $bench->record->until($until), $states, $until);
    }
}
