<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Multimeter;
use OddSpark\Run\BenchState;

/** The two leads of the meter put on places, or off. */
final readonly class Leads extends Act
{
    public const NAME = 'leads';

    public const MINUTES = Multimeter::MINUTES;

    public const QUALITIES = [Quality::Asks, Quality::Touches];

    public static function fields(): array
    {
        return ['red' => Field::placeOrNone(), 'black' => Field::placeOrNone()];
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

    private function lead(Situation $now, string $lead): ?string
    {
        $place = $this->get($lead);
        if ($place === null) {
            return null;
        }

        return $now->model->isPlace($place)
            ? $now->reach->place($now->state, $place, "The $lead lead")
            : "There is no place called \"$place\" for the $lead lead.";
    }

    public function said(Names $names): string
    {
        return match (true) {
            $this->get('red') !== null && $this->get('black') !== null => "{$names->place(
                $this->get('red'),
            )} to {$names->place($this->get('black'))}",
            $this->get('red') !== null => "Red lead alone on {$names->place($this->get('red'))}",
            $this->get('black') !== null => "Black lead alone on {$names->place($this->get('black'))}",
            default => 'Leads off',
        };
    }
}
