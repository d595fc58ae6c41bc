<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Faults that come and go: by what shakes, by minutes, by count; and what makes them go. */
final class IntermittentsTest extends TestCase
{
    public function test_a_door_switch_that_the_blower_shakes_open_takes_the_power_and_gives_it_back(): void
    {
        $stand = TestRig::withFault('furnace-80', 'door-switch:shakes-open')->set('thermostat.set', 80);
        $closed = $this->changes($stand, 'door-switch.contact', 600);
        self::assertGreaterThanOrEqual(4, count($closed), 'open, closed, and again');
        self::assertFalse($closed[0][1]);
        self::assertGreaterThan(60, $closed[0][0], 'not before the blower runs');
        self::assertEqualsWithDelta(30, $closed[1][0] - $closed[0][0], 1.5, 'for as long as the flaw lasts');
        self::assertSame(
            [],
            $this->changes(TestRig::of('furnace-80')->set('thermostat.set', 80), 'door-switch.contact', 600),
        );
    }

    public function test_a_relay_lets_go_after_some_minutes_and_makes_again_when_it_has_rested(): void
    {
        $stand = TestRig::withFault('package-direct-spark', 'inducer-relay:lets-go-warm')->run(1);
        $stand->set('thermostat.set', 90);
        $closed = $this->changes($stand, 'inducer-relay.contact', 1500);
        self::assertSame([true, false, true], array_slice(array_column($closed, 1), 0, 3));
        self::assertEqualsWithDelta(480, $closed[1][0] - $closed[0][0], 1.5);
        self::assertEqualsWithDelta(120, $closed[2][0] - $closed[1][0], 1.5);
    }

    public function test_an_output_that_hangs_after_some_starts_is_cured_by_a_power_cycle_for_a_while(): void
    {
        $stand = TestRig::withFault('furnace-80', 'board:inducer-relay-hangs');
        $starts = function () use ($stand): bool {
            $started = $stand->set('thermostat.set', 80)->run(20)->slot('board.inducer_relay', 'closed');
            $stand->set('thermostat.set', 50)->run(300);

            return $started;
        };
        self::assertTrue($starts());
        self::assertTrue($starts());
        self::assertFalse($starts(), 'the third time it hangs');
        $stand->set('service.lever', 'off')->run(10)->set('service.lever', 'on')->run(10);
        self::assertTrue($starts(), 'and is well again, for two starts more');
    }

    /**
     * @return list<array{float, bool}> seconds at each change of a contact, to half a second,
     *     and whether it is closed from then on
     */
    private function changes(TestRig $stand, string $contact, float $until): array
    {
        $found = [];
        $last = $stand->run(1)->slot($contact, 'closed');
        for ($s = 0.0; $s < $until; $s += 0.5) {
            $now = $stand->run(0.5)->slot($contact, 'closed');
            if ($now !== $last) {
                $found[] = [$s, $now];
                $last = $now;
            }
        }

        return $found;
    }
}
