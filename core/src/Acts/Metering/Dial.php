<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Multimeter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The meter's dial turned, and its range chosen by hand if one likes. */
final readonly class Dial extends Act
{
    public const NAME = 'dial';

    public const MINUTES = 0.0;

    public const QUALITIES = [Quality::OnBoth];

    public static function fields(): array
    {
        return [
            'mode' => Field::oneOf(...array_column(Mode::cases(), 'value')),
            'range' => Field::number()->optional(),
        ];
    }

    public function refusal(Situation $now): ?string
    {
        $range = $this->get('range');
        $ranges = Mode::from($this->get('mode'))->specification()->ranges();

        return $range === null || in_array((float) $range, $ranges, true)
            ? null
            : Words::say('acts.dial.on_this_position_the_ranges', ['ranges' => implode(', ', $ranges)]);
    }

    public function apply(Situation $now): BenchState
    {
        $range = $this->get('range');

        return $now->state->with(
            mode: Mode::from($this->get('mode')),
            range: $range === null ? null : (float) $range,
            display: null,
        );
    }

    public function reads(): string
    {
        return Multimeter::KEY;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.dial.meter_to', [
            'from' => Mode::from($this->get('mode'))->title(),
            'words' => $this->get('range') === null ? '' : Words::say('acts.dial.range_by_hand', [
                'range' => $this->get('range'),
            ]),
        ]);
    }
}
