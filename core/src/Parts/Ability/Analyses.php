<?php

declare(strict_types=1);

namespace OddSpark\Parts\Ability;

use OddSpark\Parts\Primitive;

/**
 * Tells what an analyser or a smoke pump in the flue draws from.
 *
 * @phpstan-import-type Figures from Primitive
 */
interface Analyses
{
    /**
     * What it measures: oxygen | co2 | co | smoke | efficiency.
     *
     * @param Figures $spec
     */
    public static function measures(array $spec): string;
}
