<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Process\MeterDial;
use OddSpark\Trade\Fuel;
use OddSpark\Words\Words;

/** The small dial of the gas meter, against a watch. */
final readonly class ClockGas extends Act
{
    public const NAME = 'clock';

    public const MINUTES = 2.0;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? ($now->model->kindOf($this->part())?->hands()->clock === true
                ? null
                : Words::say('acts.clock_gas.it_has_no_dial_to'));
    }

    public function shows(Situation $now): array
    {
        $each = $now->model->region() === 'EU'
            ? Words::say('acts.clock_gas.ten_litres')
            : Words::say('acts.clock_gas.one_cubic_foot');
        foreach (array_keys($now->model->kindOf($this->part())?->those(MeterDial::class) ?? []) as $name) {
            if ($now->plan->isJoined("{$this->part()}.$name")) {
                $seconds = $now->state->value("{$this->part()}.$name");

                return ['dial' => $seconds > 0 ? Words::say('acts.clock_gas.in_s', [
                    'each' => $each,
                    'seconds' => sprintf('%.0f', $seconds),
                ]) : Words::say('acts.clock_gas.stands_still')];
            }
        }
        $btu = 0.0;
        foreach ($now->plan->those(Burns::class) as $id) {
            $btu += $now->state->slots[$id]['gas'] ? $now->plan->primitives[$id]['spec']['input_btu_h'] ?? 0.0 : 0.0;
        }
        $seconds = $btu > 0 ? 3600 * Fuel::NaturalGas->heatingValue() / $btu : 0.0;

        return ['dial' => $seconds > 0 ? Words::say('acts.clock_gas.in_s', [
            'each' => $each,
            'seconds' => sprintf('%.0f', $seconds),
        ]) : Words::say('acts.clock_gas.stands_still')];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.clock_gas.clocked', ['part' => $names->part($this->part())]);
    }
}
