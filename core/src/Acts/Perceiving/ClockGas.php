<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Burns;

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

    /** Natural gas, Btu a cubic foot; common practice, no source. */
    private const BTU_PER_FT3 = 1000;

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part())
            ?? ($now->model->kindOf($this->part())?->hands()->clock === true ? null : 'It has no dial to clock.');
    }

    public function shows(Situation $now): array
    {
        $btu = 0.0;
        foreach ($now->plan->those(Burns::class) as $id) {
            $btu += $now->state->slots[$id]['gas'] ? $now->plan->primitives[$id]['spec']['input_btu_h'] ?? 0.0 : 0.0;
        }

        return [
            'dial' => $btu === 0.0 ? 'stands still' : sprintf('one cubic foot in %.0f s', (3600 * self::BTU_PER_FT3) / $btu),
        ];
    }

    public function said(Names $names): string
    {
        return "Clocked {$names->part($this->part())}";
    }
}
