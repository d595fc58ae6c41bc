<?php

namespace App\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\PairedBench;
use OddSpark\Bench\Preview;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Logger;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** What the browser is told of a bench: how it stands, and what is perceived and metered as time goes. */
final class Told
{
    /**
     * What a person has in his hands and has done, as he knows it.
     *
     * @return array<string, mixed>
     */
    public static function scene(Bench $bench, BenchState $state): array
    {
        $doors = $bench->plan->model->doors();

        return [
            'open' => $doors->named($state->open),
            'held' => $doors->named($state->held),
            'eyes' => $state->eyes,
            'red' => $state->red,
            'black' => $state->black,
            'mode' => $state->mode->value,
            'range' => $state->range,
            'keeping' => $state->display->keeping ?? false,
            'blown' => $state->blown,
            'battery' => $state->battery,
            'clamp' => $state->clamp,
            'logged' => $state->logged,
            'logger_mode' => $state->loggerMode->value,
            'jumpers' => $state->jumpers,
            'wired' => $state->wired,
            'installed' => $state->installed,
            'at_taps' => (object) $state->taps,
            'lifted' => self::lifted($state),
            'heads' => array_map(strval(...), array_keys($state->heads)),
            'locked' => $state->locked,
            'tagged' => $state->tagged,
            'off' => array_map(strval(...), array_keys($state->off)),
            'labour' => round($state->labour, 1),
            'twin' => $state->twin === null ? null : [
                'eyes' => $state->twin->eyes, 'red' => $state->twin->red, 'black' => $state->twin->black,
                'open' => $doors->named($state->twin->open), 'held' => $doors->named($state->twin->held),
            ],
        ];
    }

    /**
     * The part of a record after a tick.
     *
     * @param array<string, list<array{int, int, mixed}>> $record
     * @return array<string, list<array{int, int, mixed}>>
     */
    public static function after(array $record, int $tick): array
    {
        $after = [];
        foreach ($record as $channel => $stretches) {
            foreach ($stretches as [$from, $to, $value]) {
                if ($to > $tick) {
                    $after[$channel][] = [max($from, $tick), $to, $value];
                }
            }
        }

        return $after;
    }

    /**
     * Stretches as the client plays them, sounds and sights in words.
     *
     * @param array<string, list<array{int, int, mixed}>> $record
     * @return array{perceived: \stdClass, meter: list<array{from: float, to: float, reading: array<string, mixed>}>}
     *     perceived
     *     by channel: list of {from, to, value, say}
     */
    public static function channels(Bench $bench, array $record): array
    {
        $perceived = [];
        $meter = [];
        foreach ($record as $channel => $stretches) {
            foreach ($stretches as [$from, $to, $value]) {
                $of = self::ofUnit($channel);
                if (str_starts_with($of, 'meter ')) {
                    $mode = Bag::scale(explode(' ', $of, 3)[1]);
                    $meter[] = [
                        'from' => $from / 1000,
                        'to' => $to / 1000,
                        'reading' => $value,
                        'of' => substr($channel, 6),
                        'settles_s' => $mode->specification()->settles / 1000,
                    ];
                } elseif (Logger::isOf($channel)) { // a chart, with nothing to strike anybody
                    $perceived[$channel][] = [
                        'from' => $from / 1000, 'to' => $to / 1000, 'value' => $value, 'say' => '',
                    ];
                } else {
                    $perceived[$channel][] = [
                        'from' => $from / 1000,
                        'to' => $to / 1000,
                        'value' => $value,
                        'say' => $of === $channel ? $bench->perception()->say($channel, $value) : '',
                    ];
                }
            }
        }
        ksort($perceived);
        usort($meter, fn ($a, $b) => $a['from'] <=> $b['from']);

        return ['perceived' => (object) $perceived, 'meter' => $meter];
    }

    /** A channel as it is called of the unit itself: the meter is one, whichever of two it is on. */
    private static function ofUnit(string $channel): string
    {
        return str_starts_with($channel, PairedBench::PREFIX)
            ? substr($channel, strlen(PairedBench::PREFIX))
            : $channel;
    }

    /**
     * A run that nobody does anything to, as a tape: what is perceived, and the states of its first control, since a
     * tape
     * has one row for them.
     *
     * @return array<string, mixed>
     */
    public static function taped(Preview $preview): array
    {
        $states = array_values($preview->states)[0] ?? [];

        return [
            'until_s' => intdiv($preview->until, 1000),
            'states' => array_map(
                fn (array $s) => ['at' => $s['from'] / 1000, 'state' => $s['state'], 'title' => $s['title']],
                $states,
            ),
        ] + self::channels($preview->bench, $preview->perceived);
    }

    /**
     * What came of an act.
     *
     * @return array{seen: array<string, string>, reading: array<string, mixed>|null, refused: string|null,
     *     dangers: array<string, string>}
     */
    public static function outcome(Outcome $outcome): array
    {
        return [
            'seen' => $outcome->seen,
            'reading' => $outcome->reading?->toArray(),
            'refused' => $outcome->refused,
            'dangers' => Words::each('acts.danger', $outcome->dangers),
        ];
    }

    /**
     * @return list<string>
     */
    private static function lifted(BenchState $state): array
    {
        $lifted = [];
        foreach ($state->slots as $id => $slot) {
            if (str_ends_with($id, '.body') && array_keys($slot) === ['a', 'b']) {
                foreach ($slot as $end => $landed) {
                    if (! $landed) {
                        $lifted[] = substr($id, 0, -5).".$end";
                    }
                }
            }
        }

        return $lifted;
    }
}
