<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Wire;
use OddSpark\Bench\Bench;
use OddSpark\Circuit\Solution;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Suspects\InformationGain;
use OddSpark\Words\Words;

/** Whether the leads were well placed: on the part alone, and against its own circuit's common. */
final readonly class LeadPlacement
{
    /** Bits more that a better placed reading has to be worth. */
    private const MORE_BITS = 0.05;

    public function __construct(private Plan $plan) {}

    /**
     * Ohms through what lies beside the part, where the part alone would have told.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return array<string, string>
     */
    public function isolation(Mode $mode, string $red, string $black, array $candidates, array $weights): array
    {
        $part = Model::split($red)[0];
        if (Model::split($black)[0] !== $part || count($candidates) < 2) {
            return [];
        }
        $ends = fn (string $place): array => array_merge(
            ...array_values(
                array_map(
                    fn (Wire $w) => array_filter([
                        $w->from === $place ? "{$w->id}.a" : null,
                        $w->to === $place ? "{$w->id}.b" : null,
                    ]),
                    $this->plan->model->wires(),
                ),
            ),
        );
        $as = $this->ohms($mode, $red, $black, $candidates, $weights, []);
        $alone = max(
            $this->ohms($mode, $red, $black, $candidates, $weights, $ends($red)),
            $this->ohms($mode, $red, $black, $candidates, $weights, $ends($black)),
        );

        return $alone > $as + self::MORE_BITS
            ? [
                'isolation' => Words::say('marking.reading_technique.something_in_parallel_is_read'),
            ]
            : [];
    }

    /**
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @param list<string> $lifted wire ends
     */
    private function ohms(
        Mode $mode,
        string $red,
        string $black,
        array $candidates,
        array $weights,
        array $lifted,
    ): float {
        $values = [];
        foreach ($candidates as $id => [$bench, $state]) {
            foreach ($lifted as $end) {
                [$wire, $which] = Model::split($end);
                $state = $state->withSlots(["$wire.body" => [$which => false]]);
            }
            $exact = Meter::exact(
                $mode,
                $bench->machine()->solution($bench->withoutMeter($state)),
                $this->plan->places[$red],
                $this->plan->places[$black],
            );
            $values[$id] = is_nan($exact) ? INF : $exact;
        }

        return InformationGain::bits(
            InformationGain::bins($values, array_map(fn (float $v) => Meter::tolerance($mode, $v), $values)),
            $weights,
        );
    }

    /**
     * One lead on metal.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return array<string, string>
     */
    public function reference(string $red, string $black, array $candidates, array $weights): array
    {
        $on = [$this->isMetal($red), $this->isMetal($black)];
        if ($on[0] === $on[1]) {
            return [];
        }
        $place = $on[0] ? $black : $red;
        $found = ['chassis' => Words::say('marking.reading_technique.one_lead_was_on_chassis')];
        [$part, $terminal] = Model::split($place);
        $worth = function (string $to) use ($place, $candidates, $weights): float {
            $values = array_map(
                fn (Solution $s) => $s->acVolts($this->plan->places[$place], $this->plan->places[$to]),
                self::solutions($candidates),
            );

            $tolerances = array_map(fn (float $v) => Meter::tolerance(Mode::VoltsAc, $v), $values);

            return InformationGain::bits(InformationGain::bins($values, $tolerances), $weights);
        };
        $metal = $worth($on[0] ? $red : $black);
        foreach (array_keys($this->plan->model->kindOf($part)->terminals ?? []) as $other) {
            if (
                $this->plan->model->kindOf($part)?->isLoadBetween($terminal, (string) $other) === true &&
                $worth("$part.$other") > $metal + self::MORE_BITS
            ) {
                $found['floating'] =
                    Words::say('marking.reading_technique.from_there_to_chassis_metal');
                break;
            }
        }

        return $found;
    }

    private function isMetal(string $place): bool
    {
        [$part, $terminal] = Model::split($place);

        return $this->plan->model->kindOf($part)?->isGround() === true ||
            in_array($terminal, ['frame', 'metal', 'hood', 'GND', 'PE'], true);
    }

    /**
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return array<string, Solution> without the meter's own load
     */
    public static function solutions(array $candidates): array
    {
        $solutions = [];
        foreach ($candidates as $id => [$bench, $state]) {
            $solutions[$id] = $bench->machine()->solution($bench->withoutMeter($state));
        }

        return $solutions;
    }
}
