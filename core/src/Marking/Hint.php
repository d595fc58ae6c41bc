<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Wording;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Tracker;

/**
 * A hint, from what has been seen and nothing else: two faults that have shown the same get the same hint.
 *
 * Three grades: where in the sequence, which circuit, which reading.
 */
final readonly class Hint
{
    private const LINE_V = 50.0;

    private const CONTROL_V = 4.0;

    public function __construct(private Plan $plan) {}

    /** @param Tracker $tracker that has followed all that was seen */
    public function of(string $grade, Tracker $tracker): string
    {
        $suspects = $tracker->suspects();
        if ($suspects->count() === 0) {
            return 'No single fault explains everything you have seen. Think of two at once.';
        }
        if ($suspects->count() === 1 || $suspects->entropy() <= AttemptReview::SETTLED_BITS) {
            return 'You have seen enough. Go over your readings: only one fault explains them all.';
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
        $title = fn (string $state): string => $table[$state]['title'] ?? 'without power';
        $first = (string) array_key_first($steps);

        return reset($steps) > 0.75
            ? "From what you have seen, the control is at “{$title(
                $first,
            )}”. What should happen next, and what proves it?"
            : 'What you have seen fits several steps: '.
                    implode(
                        ', ',
                        array_map(
                            fn (int|string $s) => "“{$title((string) $s)}”",
                            array_slice(array_keys($steps), 0, 3),
                        ),
                    ).
                    '. Find out how far it gets.';
    }

    /** In which circuit most of what is left lies. */
    private function circuit(Tracker $tracker): string
    {
        $circuits = [];
        $of = $this->circuits($tracker);
        foreach ($tracker->suspects()->ranked() as $id => $share) {
            $part = explode(':', (string) $id)[0];
            $circuits[$of[$part] ?? 'air, fuel and water'] =
                ($circuits[$of[$part] ?? 'air, fuel and water'] ?? 0.0) + $share;
        }
        arsort($circuits);
        $first = (string) array_key_first($circuits);

        return sprintf(
            'Most of what is left, %d %%, is in %s.',
            (int) round(100 * $circuits[$first]),
            match ($first) {
                'line' => 'the line-voltage circuit',
                'control' => 'the control circuit',
                'small' => 'the proving circuit: flame or millivolts',
                default => $first,
            },
        );
    }

    private function reading(Tracker $tracker): string
    {
        $best =
            (new BestReading($this->plan))->rank($tracker->candidates(), $tracker->suspects()->weights, 1)[0] ?? null;

        return $best === null || $best->bits <= AttemptReview::SETTLED_BITS
            ? 'Nothing within reach tells much now: open what is shut, or wait for the next step.'
            : ucfirst($best->said(new Wording($this->plan->model))).' would tell you the most now.';
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
