<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Instruments\ClampMeter;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

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
            $step('look', Words::say('bench.warm_up.pick_the_fuse_on_the')),
            $step('line', Words::say('bench.warm_up.red_lead_on_h1_of')),
            $step('control', Words::say('bench.warm_up.red_lead_to_x1_then')),
            $step(
                'open',
                Words::say('bench.warm_up.one_lead_on_each_side'),
            ),
            $step('meant', Words::say('bench.warm_up.say_what_a_reading_meant')),
            $step('on', Words::say('bench.warm_up.pick_the_toggle_switch_and')),
            $step('closed', Words::say('bench.warm_up.log_it_again_there_across')),
            $step('ladder', Words::say('bench.warm_up.open_the_ladder_and_put')),
            $step('clamp', Words::say('bench.warm_up.pick_l_of_the_inducer')),
            $step('dead', Words::say('bench.warm_up.service_switch_off_then_turn')),
            $step('ohms', Words::say('bench.warm_up.read_the_inducer_from_l')),
            $step('restore', Words::say('bench.warm_up.service_switch_on_again_leads')),
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
                'closed' => $volts !== null && $volts < 1 && isset($done['on']) && ! $off && $at(
                    'toggle.line',
                    'toggle.load',
                ),
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
