<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Instruments\ClampMeter;
use OddSpark\Meter\Mode;

/**
 * Five minutes on a sound training board: what is to be tried, and whether it has been, told from what the
 * meter and the eyes were then shown.
 */
final class WarmUp
{
    /** The board, beside the shipped models. */
    public const MODEL = __DIR__.'/../../models/training/warm-up.json';

    public const NAME = 'warm-up';

    public const VISIT = 'bench';

    /** @return list<array{id: string, text: string}> in the order in which they are best done */
    public static function steps(): array
    {
        $step = fn (string $id, string $text): array => ['id' => $id, 'text' => $text];

        return [
            $step('look', 'Pick the fuse on the board, and look at it.'),
            $step('line', 'Red lead on H1 of the transformer, black on H2: what goes in.'),
            $step('control', 'Red lead to X1; then pick Black under the meter and move it to X2: what comes out.'),
            $step(
                'open',
                'One lead on each side of the toggle switch, which is off: across an open switch you read the full voltage.',
            ),
            $step('meant', 'Say what a reading meant to you, with one tap under the meter.'),
            $step('on', 'Pick the toggle switch and set it to on. Press Run: something clicks and turns.'),
            $step('closed', 'Log it again there: across a closed switch you read next to nothing.'),
            $step('ladder', 'Open the ladder and put the leads on A and B of the relay: its coil is fed.'),
            $step('clamp', 'Pick L of the inducer and clamp round its wire: amps, without touching anything.'),
            $step('dead', 'Service switch off; then turn the dial to Ω.'),
            $step('ohms', 'Read the inducer from L to N: a winding, on a dead circuit.'),
            $step('restore', 'Service switch on again, leads removed. That is all: close the warm-up.'),
        ];
    }

    /**
     * @param list<array{Act, Outcome}> $entries
     * @return list<string> ids of the steps that have been done
     */
    public static function done(array $entries): array
    {
        $done = [];
        $leads = [null, null];
        $off = false;
        foreach ($entries as [$act, $outcome]) {
            if ($outcome->refused !== null) {
                continue;
            }
            if ($act->name === 'leads') {
                $leads = [$act->get('red'), $act->get('black')];
                sort($leads);
            }
            if ($act->name === 'set' && $act->get('part') === 'service') {
                $off = $act->get('to') === 'off';
            }
            $volts = $outcome->reading?->mode === Mode::VoltsAc ? $outcome->reading->value : null;
            $ohms =
                $outcome->reading?->mode === Mode::Ohms && ! $outcome->reading->live ? $outcome->reading->value : null;
            $at = fn (string $a, string $b): bool => $leads === [$a, $b];
            $done += array_filter([
                'look' => $act->name === 'look' && $act->get('part') === 'fuse',
                'line' => $volts > 100 && $at('transformer.H1', 'transformer.H2'),
                'control' => $volts > 20 && $volts < 35 && $at('transformer.X1', 'transformer.X2'),
                'open' => $volts > 20 && $at('toggle.line', 'toggle.load'),
                'meant' => $act->name === 'meant',
                'on' => $act->name === 'set' && $act->get('part') === 'toggle' && $act->get('to') === 'on',
                'closed' => $volts !== null && $volts < 1 && isset($done['on']) && ! $off && $at('toggle.line', 'toggle.load'),
                'ladder' => $volts > 20 && $at('relay.A', 'relay.B'),
                'clamp' => $outcome->reading?->mode instanceof ClampMeter && $outcome->reading->value > 0.3,
                'dead' => $off && $act->name === 'dial' && $act->get('mode') === 'ohm' || isset($done['dead']),
                'ohms' => $ohms !== null && is_finite($ohms) && $off && $at('inducer.L', 'inducer.N'),
                'restore' => ! $off && isset($done['dead']) && $leads === [null, null],
            ]);
        }

        return array_values(array_filter(array_column(self::steps(), 'id'), fn (string $id) => isset($done[$id])));
    }
}
