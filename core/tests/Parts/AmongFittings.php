<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Surroundings;

/** Fittings and surroundings of a primitive by itself. */
trait AmongFittings
{
    private function fittings(): Fittings
    {
        return new Fittings(['a' => 1, 'b' => 0, 'line' => 1, 'common' => 0], [0], [], [], 377.0);
    }

    /** @param array<string, array<string, mixed>> $slots */
    private function at(int $tick, array $slots = [], float $volts = 0.0): Surroundings
    {
        $values = new Values(1);
        $values->resistor(0, 1e6);
        $values->acSources = [1 => [$volts * 1e6, 0.0]];

        return new Surroundings($tick, $slots, Solution::of(new Network(Topology::of(2, [[1, 0]]), 60.0), $values));
    }
}
