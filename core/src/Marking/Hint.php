<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Wording;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Overnight;
use OddSpark\Suspects\Tracker;
use OddSpark\Words\Words;

/**
 * A hint, from what has been seen and nothing else: two faults that have shown the same get the same hint.
 *
 * Three grades: where in the sequence, which circuit, which reading.
 */
final readonly class Hint
{
    private const LINE_V = 50.0;

    private const CONTROL_V = 4.0;

    /** @param bool $nights whether a logger can be left for the night */
    public function __construct(private Plan $plan, private bool $nights = false) {}

    /** @param Tracker $tracker that has followed all that was seen */
    public function of(string $grade, Tracker $tracker): string
    {
        $suspects = $tracker->suspects();
        if ($suspects->count() === 0) {
            return Words::say('marking.hint.no_single_fault_explains_everything');
        }
        if ($suspects->count() === 1 || $suspects->entropy() <= AttemptReview::SETTLED_BITS) {
            return Words::say('marking.hint.you_have_seen_enough_go');
        }

        return match ($grade) {
            'where' => $this->where($tracker),
            'circuit' => $this->circuit($tracker),
            default => $this->reading($tracker),
        };
    }

    /** In which step most of what is left would have the control stand. */
    private function where(Tracker $tracker): string
    {
        $control = $this->plan->those(Decides::class)[0] ?? null;
        if ($control === null) {
            return $this->circuit($tracker);
        }
        $steps = [];
        foreach ($tracker->candidates() as $id => [, $state]) {
            $at = (string) $state->slots[$control]['state'];
            $steps[$at] = ($steps[$at] ?? 0.0) + $tracker->suspects()->share((string) $id);
        }
        arsort($steps);
        $table = $this->plan->primitives[$control]['spec']['table']['states'];
        $title = fn (string $state): string => $table[$state]['title'] ?? Words::say('marking.hint.without_power');
        $first = (string) array_key_first($steps);

        return reset($steps) > 0.75
            ? Words::say('marking.hint.from_what_you_have_seen', [
                'first' => $title(
                    $first,
                ),
            ])
            : Words::say('marking.hint.what_you_have_seen_fits', [
                'steps' => implode(
                    ', ',
                    array_map(
                        fn (int|string $s) => "“{$title((string) $s)}”",
                        array_slice(array_keys($steps), 0, 3),
                    ),
                ),
            ]);
    }

    /** In which circuit most of what is left lies. */
    private function circuit(Tracker $tracker): string
    {
        $circuits = [];
        $of = $this->circuits($tracker);
        foreach ($tracker->suspects()->ranked() as $id => $share) {
            $part = explode(':', (string) $id)[0];
            $circuits[$of[$part] ?? 'rest'] =
                ($circuits[$of[$part] ?? 'rest'] ?? 0.0) + $share;
        }
        arsort($circuits);
        $first = (string) array_key_first($circuits);

        return Words::say('marking.hint.most_of_what_is_left', [
            'what' => (int) round(100 * $circuits[$first]),
            'words' => match ($first) {
                'line' => Words::say('marking.hint.the_line_voltage_circuit'),
                'control' => Words::say('marking.hint.the_control_circuit'),
                'small' => Words::say('marking.hint.the_proving_circuit_flame_or'),
                default => Words::say('marking.hint.air_fuel_and_water'),
            },
        ]);
    }

    private function reading(Tracker $tracker): string
    {
        $best =
            (new BestReading($this->plan))->rank($tracker->candidates(), $tracker->suspects()->weights, 1)[0] ?? null;

        return $best === null || $best->bits <= AttemptReview::SETTLED_BITS
            ? $this->night($tracker) ?? Words::say('marking.hint.nothing_within_reach_tells_much')
            : Words::say('marking.hint.would_tell_you_the_most', [
                'what' => ucfirst($best->said(new Wording($this->plan->model))),
            ]);
    }

    /** Where a logger would tell most; null where none can be left, or none would tell anything. */
    private function night(Tracker $tracker): ?string
    {
        $best = $this->nights
            ? (new Overnight($this->plan, $tracker->candidates(), $tracker->suspects()->weights))->best()
            : null;
        $wording = new Wording($this->plan->model);

        return $best === null || $best['bits'] <= AttemptReview::SETTLED_BITS
            ? null
            : Words::say('marking.hint.leave_a_logger', [
                'from' => $wording->place($best['from']),
                'to' => $wording->place($best['to']),
            ]);
    }

    /**
     * @return array<string, string> line, control or small, by part and wire,
     *     from what stands in the likeliest suspects' circuits
     */
    private function circuits(Tracker $tracker): array
    {
        $most = [];
        foreach (array_slice($tracker->candidates(), 0, 8, true) as [$bench, $state]) {
            /** @var Bench $bench */
            $solution = $bench->machine()->solution($state);
            foreach ($this->plan->places as $place => $node) {
                $owner = Model::split((string) $place)[0];
                $most[$owner] = max($most[$owner] ?? 0.0, $solution->acVolts($node, 0));
            }
        }

        return array_map(
            fn (float $v) => $v > self::LINE_V ? 'line' : ($v > self::CONTROL_V ? 'control' : 'small'),
            $most,
        );
    }
}
