<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Facets;
use OddSpark\Appliance\Library;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FacetsTest extends TestCase
{
    #[TestWith(['furnace-80', '120 V', 'gas', 'hot surface', 'air'])]
    #[TestWith(['furnace-80-limit-in-r', '120 V', 'gas', 'hot surface', 'air'])]
    #[TestWith(['furnace-standing-pilot', '120 V', 'gas', 'standing pilot', 'air'])]
    #[TestWith(['oil-furnace', '120 V', 'oil', 'spark', 'air'])]
    #[TestWith(['package-direct-spark', '240 V', 'gas', 'spark', 'air'])]
    #[TestWith(['water-heater-thermopile', 'none', 'gas', 'standing pilot', 'tap water'])]
    #[TestWith(['pool-heater', '120 V', 'gas', 'hot surface', 'pool'])]
    #[TestWith(['zones-hydronic', '120 V', 'gas', 'spark', 'water'])]
    #[TestWith(['mid-position-230', '230 V', 'gas', 'spark', 'water'])]
    public function test_an_appliance_is_found_by_supply_fuel_ignition_and_what_it_heats(
        string $name,
        string $supply,
        string $fuel,
        string $ignition,
        string $heats,
    ): void {
        $facets = Facets::of((new Library())->model($name))->toArray();
        self::assertSame(['supply' => $supply, 'fuel' => $fuel, 'ignition' => $ignition, 'heats' => $heats], $facets);
    }
}
