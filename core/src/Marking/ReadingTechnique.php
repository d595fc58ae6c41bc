<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Wire;
use OddSpark\Bench\Bench;
use OddSpark\Circuit\Solution;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Suspects\InformationGain;
use OddSpark\Words\Words;

/**
 * How well a reading was taken, judged at its moment by what each suspect's circuit then offers: never by the fault.
 *
 * Under what rules a flaw counts, and whether it was mended by a later reading, is for {@see Lines\Technique} to say.
 */
final class ReadingTechnique
{
    /** Volts AC between two places from which a DC range is the wrong one. */
    private const FED_V = 5.0;

    /** Share of the AC from which on DC beside it tells something; half waves have 0.45 of what they are made of. */
    private const HALF_WAVE = 0.2;

    /** Volts under which nothing stands there. */
    public const NOTHING_V = 1.0;

    /** Volts from which a reading may be taken for power. */
    private const GHOST_V = 2.0;

    /**
     * Share of a figure that is left at low impedance, up to which its source can carry no meter: some hundred
     * kilohms. An open switch before the input of a control is no ghost: its volts are real, behind the input's ohms.
     */
    private const GHOST_SHARE = 0.03;

    /** Bits more that a better placed reading has to be worth. */
    private const MORE_BITS = 0.05;

    /** Likeliest suspects that are asked, where all would say much the same. */
    private const ASKED = 3;

    private readonly HealthyCycle $cycle;

    public function __construct(private readonly Plan $plan, string $visit, Memory $memory)
    {
        $this->cycle = new HealthyCycle($plan, $visit, $memory);
    }

    /**
     * @param array<string, array{Bench, BenchState}> $candidates as they stand before the act
     * @param array<string, float> $weights
     * @return array<string, string> sentence by flaw: live, series, mode, moment, isolation, ghost, chassis, floating,
     *     range, loose
     */
    public function of(Act $act, Reading $reading, array $candidates, array $weights): array
    {
        $mode = $reading->mode;
        if ($candidates === [] || ! $mode instanceof Mode) { // only between two leads can one go wrong so
            return [];
        }
        $state = reset($candidates)[1];
        [$red, $black] = $act->name === 'leads' ? [$act->get('red'), $act->get('black')] : [$state->red, $state->black];
        if ($red === null || $black === null) {
            return [];
        }
        if ($reading->unsteady) {
            return ['loose' => Words::say('marking.reading_technique.the_display_was_not_steady')];
        }
        if ($reading->live) {
            return $act->name === 'dial'
                ? []
                : ['live' => Words::say('marking.reading_technique.ohms_taken_on_a_live')];
        }
        $found = [];
        if ($mode->isSeries()) {
            if (! $this->isInSeries($state, $red, $black)) {
                $found['series'] = Words::say('marking.reading_technique.a_current_range_goes_in');
            }

            return $found;
        }
        if (is_infinite($reading->value) && $state->range !== null && $act->name !== 'dial') {
            $found += $this->range($mode, $red, $black, $candidates);
        }
        if ($mode->wantsDead()) {
            return $act->name === 'dial'
                ? $found
                : $found + $this->isolation($mode, $red, $black, $candidates, $weights);
        }
        if ($act->name === 'dial') {
            return $found;
        }
        if (in_array($mode, [Mode::VoltsDc, Mode::Millivolts], true)) {
            return $found + $this->mode($reading, $red, $black, $candidates);
        }

        return $found +
            $this->moment($reading, $red, $black, $candidates) +
            $this->ghost($reading, $red, $black, $candidates, $weights) +
            $this->reference($red, $black, $candidates, $weights);
    }

    /**
     * Whether the meter lies between a lifted wire end and what it was lifted from.
     */
    private function isInSeries(BenchState $state, string $red, string $black): bool
    {
        foreach ([[$red, $black], [$black, $red]] as [$end, $to]) {
            [$wire, $which] = Model::split($end);
            $w = $this->plan->model->wire($wire);
            if ($w !== null && ! $state->slots["$wire.body"][$which]) {
                return $w->at($which) === $to;
            }
        }

        return false;
    }

    /**
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return array<string, string>
     */
    private function range(Mode $mode, string $red, string $black, array $candidates): array
    {
        $top = $mode->specification()->top;
        foreach ($this->solutions($candidates) as $s) {
            $exact = Meter::exact($mode, $s, $this->plan->places[$red], $this->plan->places[$black]);
            if (is_nan($exact) || abs($exact) > $top) {
                return [];
            }
        }

        return ['range' => Words::say('marking.reading_technique.the_range_picked_by_hand')];
    }

    /**
     * DC asked where AC is fed.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return array<string, string>
     */
    private function mode(Reading $reading, string $red, string $black, array $candidates): array
    {
        [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
        $isFed = false;
        foreach ($this->solutions($candidates) as $s) {
            if (abs($s->dcVolts($a, $b)) >= self::HALF_WAVE * max(self::FED_V, $s->acVolts($a, $b))) {
                return []; // fed through a diode, DC is what tells there
            }
            $isFed = $isFed || $s->acVolts($a, $b) > self::FED_V;
        }

        return $isFed ? ['mode' => Words::say('marking.reading_technique.volts_dc_on_an_ac')] : [];
    }

    /**
     * Nothing stands there, nor would it in any suspect; at another moment of a sound cycle it would.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @return array<string, string>
     */
    private function moment(Reading $reading, string $red, string $black, array $candidates): array
    {
        if ($reading->value > self::NOTHING_V) {
            return [];
        }
        [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
        foreach ($this->solutions($candidates) as $s) {
            if ($s->acVolts($a, $b) > self::NOTHING_V) {
                return [];
            }
        }
        $stands = $this->cycle->stands($a, $b, self::FED_V);

        return $stands === null
            ? []
            : ['moment' => Words::say('marking.reading_technique.nothing_can_be_read_there', [
                'stands' => $stands,
            ])];
    }

    /**
     * Ohms through what lies beside the part, where the part alone would have told.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return array<string, string>
     */
    private function isolation(Mode $mode, string $red, string $black, array $candidates, array $weights): array
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
     * A figure that a small load would pull down.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return array<string, string>
     */
    private function ghost(Reading $reading, string $red, string $black, array $candidates, array $weights): array
    {
        if ($reading->mode !== Mode::VoltsAc || $reading->value < self::GHOST_V) {
            return [];
        }
        [$a, $b] = [$this->plan->places[$red], $this->plan->places[$black]];
        arsort($weights);
        $asked = 0;
        foreach (array_keys($weights) as $id) {
            [$bench, $state] = $candidates[$id];
            $bare = $bench->withoutMeter($state);
            $light = $bench->machine()->solution($bare, [$a, $b, Mode::VoltsAc->siemens()])->acVolts($a, $b);
            $heavy = $bench->machine()->solution($bare, [$a, $b, Mode::VoltsLow->siemens()])->acVolts($a, $b);
            if (! Meter::agrees($reading, $light)) {
                continue;
            }
            if ($heavy > self::GHOST_SHARE * $light) {
                return [];
            }
            if (++$asked === self::ASKED) {
                break;
            }
        }

        return $asked === 0
            ? []
            : [
                'ghost' => Words::say('marking.reading_technique.from_a_source_that_can', [
                    'reading' => $reading->text(),
                ]),
            ];
    }

    /**
     * One lead on metal.
     *
     * @param array<string, array{Bench, BenchState}> $candidates
     * @param array<string, float> $weights
     * @return array<string, string>
     */
    private function reference(string $red, string $black, array $candidates, array $weights): array
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
                $this->solutions($candidates),
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
    private function solutions(array $candidates): array
    {
        $solutions = [];
        foreach ($candidates as $id => [$bench, $state]) {
            $solutions[$id] = $bench->machine()->solution($bench->withoutMeter($state));
        }

        return $solutions;
    }
}
