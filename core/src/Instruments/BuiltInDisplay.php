<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Specification;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Control;

/**
 * The display of a control, read where it shows a temperature: what its own sensor feels, as long as it has power.
 * Steps of a degree: common practice, no source.
 */
final readonly class BuiltInDisplay extends AtTap
{
    public const KEY = 'display';

    public const MINUTES = 0.2;

    protected const SIGNED = true;

    protected function made(bool $metric): Specification
    {
        return $metric
            ? new Specification('°C', 6000, 6000, 0.0, 1, 0.0, 0.5, 1500, 'dark')
            : new Specification('°F', 6000, 6000, 0.0, 1, 0.0, 1.0, 1500, 'dark');
    }

    public function at(Site $site, string $tap): Measured
    {
        $part = $site->plan->model->taps()[$tap]->part;
        foreach (array_keys($site->plan->model->kindOf($part)?->those(Decides::class) ?? []) as $name) {
            if ($site->state->slots["$part.$name"]['state'] === Control::DARK) {
                return new Measured(INF, Meter::show($this, INF));
            }
        }

        return parent::at($site, $tap);
    }
}
