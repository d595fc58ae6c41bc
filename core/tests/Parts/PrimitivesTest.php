<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Parts\Primitive;
use OddSpark\Parts\Primitive\Coil;
use OddSpark\Parts\Primitive\Contact;
use OddSpark\Parts\Primitive\Fuse;
use OddSpark\Parts\Primitive\Passage;
use OddSpark\Parts\Primitive\Sensor;
use OddSpark\Trade\Response;
use PHPUnit\Framework\TestCase;

/** Each primitive by itself: what it becomes from what it sees, and when. */
final class PrimitivesTest extends TestCase
{
    use AmongFittings;

    public function test_a_contact_makes_a_moment_late_and_breaks_at_once(): void
    {
        $contact = new Contact(['follows' => 'lever', 'when' => 'on'], $this->fittings());
        $slot = $contact->react($contact->initial(), $this->at(100, ['lever' => ['at' => 'on']]));
        self::assertFalse($slot['closed']);
        self::assertSame(104, $contact->next($slot, $this->at(100)));
        $slot = $contact->react($slot, $this->at(104, ['lever' => ['at' => 'on']]));
        self::assertTrue($slot['closed']);
        self::assertFalse($contact->react($slot, $this->at(105, ['lever' => ['at' => 'off']]))['closed']);
    }

    public function test_a_stuck_contact_follows_nothing(): void
    {
        foreach (['open' => false, 'closed' => true] as $stuck => $closed) {
            $contact = new Contact(['follows' => 'lever', 'when' => 'on', 'stuck' => $stuck], $this->fittings());
            foreach (['on', 'off'] as $at) {
                self::assertSame(
                    $closed,
                    $contact->react($contact->initial(), $this->at(9, ['lever' => ['at' => $at]]))['closed'],
                );
            }
        }
    }

    public function test_a_coil_pulls_in_and_drops_out_at_different_volts_each_after_its_time(): void
    {
        $coil = new Coil(
            [
                'ohm' => 26,
                'reactance_ohm' => 52,
                'pull_in_v' => 17,
                'drop_out_v' => 8,
                'pull_in_ms' => 40,
                'drop_out_ms' => 30,
            ],
            $this->fittings(),
        );
        $slot = $coil->react($coil->initial(), $this->at(0, [], 16.9));
        self::assertNull($slot['due'], 'too little to pull in');
        $slot = $coil->react($slot, $this->at(0, [], 24));
        self::assertSame(40, $slot['due']);
        self::assertFalse($coil->react($slot, $this->at(39, [], 24))['on']);
        self::assertNull($coil->react($slot, $this->at(20, [], 0))['due'], 'gone again before it moved');
        $slot = $coil->react($slot, $this->at(40, [], 24));
        self::assertTrue($slot['on']);
        self::assertTrue($coil->react($slot, $this->at(50, [], 9))['on'], 'holds on less than it needed');
        $slot = $coil->react($slot, $this->at(60, [], 7));
        self::assertFalse($coil->react($slot, $this->at(90, [], 7))['on']);
    }

    public function test_a_sensor_opens_and_closes_with_its_differential_and_latches_when_it_must(): void
    {
        $limit = new Sensor(['of' => 'heat', 'opens_at' => 200, 'closes_at' => 165], $this->fittings());
        $rising = ['heat' => ['course' => Response::towards(0, 70.0, 300.0, 60.0)]];
        $next = $limit->next($limit->initial(), $this->at(0, $rising));
        self::assertEqualsWithDelta(1000 * 60 * log(230 / 100), $next, 1.0);
        $slot = $limit->react($limit->initial(), $this->at($next, $rising));
        self::assertFalse($slot['made']);
        $cool = fn (float $f) => $this->at(0, ['heat' => ['course' => Response::still(0, $f)]]);
        self::assertFalse($limit->react($slot, $cool(166.0))['made']);
        self::assertTrue($limit->react($slot, $cool(165.0))['made']);
        $rollout = new Sensor(
            ['of' => 'heat', 'opens_at' => 300, 'closes_at' => 260, 'manual_reset' => true],
            $this->fittings(),
        );
        $slot = $rollout->react($rollout->initial(), $cool(301.0));
        self::assertSame('tripped', $rollout->shows($slot));
        self::assertFalse($rollout->react($slot, $cool(70.0))['made'], 'cold, and still not reset');
        self::assertTrue($rollout->react(['latched' => false] + $slot, $cool(70.0))['made']);
    }

    public function test_a_pressure_switch_is_open_until_proved(): void
    {
        $switch = new Sensor(['of' => 'draught', 'opens_at' => 0.30, 'closes_at' => 0.40], $this->fittings());
        self::assertFalse($switch->initial()['made']);
        $air = fn (float $x) => $this->at(0, ['draught' => ['course' => Response::still(0, $x)]]);
        $slot = $switch->react($switch->initial(), $air(0.39));
        self::assertFalse($slot['made']);
        $slot = $switch->react($slot, $air(0.41));
        self::assertTrue($switch->react($slot, $air(0.31))['made']);
        self::assertFalse($switch->react($slot, $air(0.30))['made']);
    }

    public function test_a_fuse_opens_sooner_on_more_and_holds_its_rating(): void
    {
        $fuse = new Fuse(['amps' => 3, 'ohm' => 0.02, 'melt_s' => 1], $this->fittings());
        $after = function (float $amps) use ($fuse): int {
            return $fuse->next($fuse->react($fuse->initial(), $this->at(0, [], $amps * 0.02)), $this->at(0));
        };
        self::assertSame(Primitive::NEVER, $after(3.2));
        self::assertEqualsWithDelta(1000 / (2 - 1) ** 2, $after(6), 1);
        self::assertEqualsWithDelta(1000 / (4 - 1) ** 2, $after(12), 1);
        self::assertGreaterThanOrEqual(25, $after(300));
        $slot = $fuse->react($fuse->initial(), $this->at(0, [], 12 * 0.02));
        self::assertFalse($fuse->react($slot, $this->at(112, [], 12 * 0.02))['whole']);
    }

    public function test_bursts_add_up_in_a_fuse(): void
    {
        $fuse = new Fuse(['amps' => 3, 'ohm' => 0.02, 'melt_s' => 1], $this->fittings());
        $slot = $fuse->initial();
        for ($t = 0; $t < 2000 && $slot['whole']; $t += 200) {
            $slot = $fuse->react($slot, $this->at($t, [], 12 * 0.02));
            $slot = $fuse->react($slot, $this->at($t + 60, [], 0.0));
        }
        $slot = $fuse->react($slot, $this->at($t, [], 12 * 0.02));
        self::assertFalse(
            $fuse->react($slot, $this->at($t + 60, [], 12 * 0.02))['whole'],
            '60 ms at a time, never enough by itself',
        );
    }

    public function test_a_breaker_is_switched_by_hand_and_made_again_by_hand(): void
    {
        $breaker = new Fuse(['amps' => 15, 'ohm' => 0.006, 'melt_s' => 4, 'lever' => 'handle'], $this->fittings());
        $slot = $breaker->react($breaker->initial(), $this->at(0, ['handle' => ['at' => 'off']]));
        self::assertFalse($slot['whole']);
        self::assertTrue($breaker->react($slot, $this->at(1, ['handle' => ['at' => 'on']]))['whole']);
        $broken = new Fuse(['amps' => 15, 'open' => true, 'lever' => 'handle'], $this->fittings());
        self::assertFalse($broken->react($broken->initial(), $this->at(1, ['handle' => ['at' => 'on']]))['whole']);
    }

    public function test_a_way_is_free_as_its_lever_says_unless_it_is_stuck(): void
    {
        $cock = new Passage(['follows' => 'handle', 'when' => 'open', 'free' => 0.8], $this->fittings());
        self::assertSame(0.8, $cock->react($cock->initial(), $this->at(0, ['handle' => ['at' => 'open']]))['free']);
        self::assertSame(0.0, $cock->react($cock->initial(), $this->at(0, ['handle' => ['at' => 'shut']]))['free']);
        $stuck = new Passage(['follows' => 'coil', 'key' => 'on', 'stuck' => 'shut'], $this->fittings());
        self::assertSame(0.0, $stuck->react($stuck->initial(), $this->at(0, ['coil' => ['on' => true]]))['free']);
    }
}
