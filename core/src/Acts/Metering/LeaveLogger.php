<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Logger;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** The clips of a logger put on pairs of places, or all taken off: what it writes down from then on is seen. */
final readonly class LeaveLogger extends Act
{
    public const NAME = 'logger';

    /** Common practice, no source. */
    public const MINUTES = 4.0;

    public const QUALITIES = [Quality::Touches];

    public static function fields(): array
    {
        return [
            'on' => Field::places(2 * Logger::PAIRS),
            'mode' => Field::oneOf(...array_column(Logger::MODES, 'value')),
        ];
    }

    public function refusal(Situation $now): ?string
    {
        $places = $this->get('on');
        if (count($places) % 2 !== 0) {
            return Words::say('acts.leave_logger.each_clip_has_another');
        }
        foreach (array_chunk($places, 2) as [$from, $to]) {
            if ($from === $to) {
                return Words::say('acts.leave_logger.two_places');
            }
        }
        foreach ($places as $place) {
            $refusal = $now->reach->place($now->state, $place, Words::say('acts.leave_logger.the_clip'));
            if ($refusal !== null) {
                return $refusal;
            }
        }

        return null;
    }

    public function risks(Situation $now): array
    {
        return $now->risk->sparked($now->machine, $now->state, $this->get('on'));
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(
            logged: array_map(fn (array $pair): array => [$pair[0], $pair[1]], array_chunk($this->get('on'), 2)),
            loggerMode: Mode::from($this->get('mode')),
        );
    }

    public function said(Names $names): string
    {
        $pairs = array_map(fn (array $pair): string => Words::say('acts.leave_logger.pair', [
            'from' => $names->place($pair[0]), 'to' => isset($pair[1]) ? $names->place($pair[1]) : '?',
        ]), array_chunk($this->get('on'), 2));

        return $pairs === []
            ? Words::say('acts.leave_logger.took_off')
            : Words::say('acts.leave_logger.left_on', ['pairs' => implode('; ', $pairs)]);
    }
}
