<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Sites;
use OddSpark\Instruments\Multimeter;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The two leads of the meter put on places, or off. */
final readonly class Leads extends Act
{
    public const NAME = 'leads';

    public const MINUTES = Multimeter::MINUTES;

    /** To lay out a lead that is longer than the meter's own, which are of a metre. From memory. */
    private const EXTENSION_MINUTES = 3.0;

    public const QUALITIES = [Quality::Asks, Quality::Touches];

    public static function fields(): array
    {
        return ['red' => Field::placeOrNone(), 'black' => Field::placeOrNone()];
    }

    public function minutesOn(Model $model): float
    {
        return self::MINUTES + ($this->isLong($model) ? self::EXTENSION_MINUTES : 0.0);
    }

    public function refusal(Situation $now): ?string
    {
        return $this->lead($now, 'red') ?? $this->lead($now, 'black');
    }

    public function risks(Situation $now): array
    {
        $places = array_filter([$this->get('red'), $this->get('black')], fn (?string $place): bool => $place !== null);

        return $now->risk->sparked($now->machine, $now->state, array_values($places));
    }

    public function apply(Situation $now): BenchState
    {
        $keeping = $now->state->display->keeping ?? false;

        return $now->state->with(
            red: $this->get('red'),
            black: $this->get('black'),
            display: $keeping ? $now->state->display : null,
        );
    }

    public function placesLeads(): bool
    {
        return true;
    }

    public function reads(): string
    {
        return Multimeter::KEY;
    }

    /** Whether its two places are further apart than the leads of the meter. */
    private function isLong(Model $model): bool
    {
        [$red, $black] = [$this->get('red'), $this->get('black')];
        if ($red === null || $black === null) {
            return false;
        }
        $part = fn (string $place): string => $model->partAt($place);

        return Sites::of($model)->areApart($part($red), $part($black));
    }

    private function lead(Situation $now, string $lead): ?string
    {
        $place = $this->get($lead);
        if ($place === null) {
            return null;
        }

        return $now->model->isPlace($place)
            ? $now->reach->place($now->state, $place, Words::say('acts.leads.the_lead', ['lead' => $lead]))
            : Words::say('acts.leads.there_is_no_place_called', ['place' => $place, 'lead' => $lead]);
    }

    public function said(Names $names): string
    {
        return match (true) {
            $this->get('red') !== null && $this->get('black') !== null => Words::say('acts.leads.to', [
                'red' => $names->place(
                    $this->get('red'),
                ),
                'black' => $names->place($this->get('black')),
            ]),
            $this->get('red') !== null => Words::say('acts.leads.red_lead_alone_on', [
                'red' => $names->place($this->get('red')),
            ]),
            $this->get('black') !== null => Words::say('acts.leads.black_lead_alone_on', [
                'black' => $names->place($this->get('black')),
            ]),
            default => Words::say('acts.leads.leads_off'),
        };
    }
}
