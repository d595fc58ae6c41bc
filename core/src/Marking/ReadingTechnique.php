<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
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

    /** Likeliest suspects that are asked, where all would say much the same. */
    private const ASKED = 3;

    private readonly HealthyCycle $cycle;

    private readonly LeadPlacement $leads;

    public function __construct(private readonly Plan $plan, string $visit, Memory $memory)
    {
        $this->leads = new LeadPlacement($plan);
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
                : $found + $this->leads->isolation($mode, $red, $black, $candidates, $weights);
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
            $this->leads->reference($red, $black, $candidates, $weights);
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
        foreach (LeadPlacement::solutions($candidates) as $s) {
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
        foreach (LeadPlacement::solutions($candidates) as $s) {
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
        foreach (LeadPlacement::solutions($candidates) as $s) {
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
}
