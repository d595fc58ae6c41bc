<?php

declare(strict_types=1);

namespace OddSpark\Tests\Run;

use OddSpark\Bench\Bench;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The furnace's sequence, against the times and values of the trade (common practice, no source). */
final class FurnaceTest extends TestCase
{
    /** @var list<array{float, string, float, float}> time, state, volts R to C, volts at the valve */
    private array $log = [];

    public function test_a_healthy_cycle(): void
    {
        [$machine, $state] = $this->powered();
        $machine->advance($state, 900_000, $this->logger($machine));
        $at = $this->entries();

        self::assertLessThan(10, $at['draught']);
        self::assertEqualsWithDelta(15, $at['warm_up'] - $at['prepurge'], 0.01, 'prepurge');
        self::assertGreaterThanOrEqual(17, $at['trial'] - $at['warm_up']);
        self::assertLessThanOrEqual(40, $at['trial'] - $at['warm_up']);
        self::assertLessThan(7, $at['flame'] - $at['trial']);
        self::assertEqualsWithDelta(30, $at['heat'] - $at['flame'], 0.01, 'blower delay');
        foreach ($this->log as [$t, $state, $rc, $valve]) {
            self::assertGreaterThan(24, $rc, "R to C at $t s");
            self::assertLessThan(28, $rc, "R to C at $t s");
            if (! in_array($state, ['trial', 'flame', 'heat'], true)) {
                self::assertLessThan(1, $valve, "valve in $state at $t s");
            }
        }
    }

    public function test_the_valve_is_energised_only_after_draught_and_glow(): void
    {
        [$machine, $state] = $this->powered();
        $checked = 0;
        $machine->advance($state, 300_000, function (MachineState $s) use ($machine, &$checked): bool {
            $places = $machine->plan->places;
            if (
                $machine->solution($s)->acVolts($places['valve.MV'], $places['valve.MVC']) > 17 &&
                $s->slots['board.control']['state'] === 'trial'
            ) {
                self::assertTrue($s->slots['pressure.contact']['closed']);
                self::assertGreaterThan(1800, $s->value('igniter.element'));
                $checked++;
            }

            return false;
        });
        self::assertGreaterThan(0, $checked);
    }

    public function test_the_flame_current_is_a_usual_one(): void
    {
        [$machine, $state] = $this->powered();
        $state = $machine->advance($state, 200_000);
        $places = $machine->plan->places;
        $microamps = $machine->solution($state)->dcVolts($places['board.GND'], $places['board.FS']) / 4.7;
        self::assertGreaterThan(2, $microamps);
        self::assertLessThan(10, $microamps);
        $rod = $machine->solution($state)->acVolts($places['rod.rod'], $places['screw.screw']);
        self::assertGreaterThan(50, $rod);
        self::assertLessThan(180, $rod);
    }

    /** @return iterable<string, array{string, string}> fault and the state it ends in within ten minutes */
    public static function stops(): iterable
    {
        yield 'limit open' => ['limit:stuck-open', 'limit_open'];
        yield 'rollout open' => ['rollout-l:stuck-open', 'rollout_open'];
        yield 'hose off' => ['hose:off', 'draught_not_proved'];
        yield 'pressure switch made too early' => ['pressure:stuck-closed', 'pressure_stuck'];
        yield 'no gas, three tries' => ['cock:shut', 'lockout'];
        yield 'igniter cracked, three tries' => ['igniter:cracked', 'lockout'];
        yield 'flame not sensed' => ['rod:dirty', 'lockout'];
        yield 'burner ground lost' => ['w32:poor', 'lockout'];
        yield 'cracked exchanger rolls out' => ['exchanger:cracked', 'rollout_open'];
        yield 'blower lead off stops at the limit' => ['w36:open', 'limit_open'];
        yield 'dead transformer' => ['transformer:primary-open', 'dark'];
    }

    #[DataProvider('stops')]
    public function test_what_stops_it(string $fault, string $ends): void
    {
        [$machine, $state] = $this->powered($fault);
        $seen = [];
        $machine->advance($state, 600_000, function (MachineState $s) use (&$seen): bool {
            $seen[$s->slots['board.control']['state']] = true;

            return false;
        });
        self::assertArrayHasKey($ends, $seen + ['dark' => $fault === 'transformer:primary-open']);
        if ($ends !== 'dark' && ! in_array($fault, ['exchanger:cracked', 'w36:open', 'rod:dirty', 'w32:poor'], true)) {
            self::assertArrayNotHasKey('flame', $seen, 'no flame is proved');
        }
    }

    public function test_no_flame_gives_three_tries_and_an_hour(): void
    {
        [$machine, $state] = $this->powered('valve:coil-open');
        $tries = 0;
        $last = '';
        $locked = null;
        $machine->advance($state, 5_000_000, function (MachineState $s) use (&$tries, &$last, &$locked): bool {
            $now = $s->slots['board.control']['state'];
            if ($now !== $last) {
                $tries += $now === 'trial' && $locked === null ? 1 : 0;
                if ($now === 'lockout') {
                    $locked ??= $s->tick;
                } elseif ($last === 'lockout') {
                    self::assertSame(3_600_000, $s->tick - $locked);

                    return true;
                }
                $last = $now;
            }

            return false;
        });
        self::assertSame(3, $tries);
        self::assertNotNull($locked);
        self::assertLessThan(300_000, $locked, 'within about five minutes');
    }

    public function test_a_shorted_thermostat_cable_blows_the_fuse_when_the_call_comes(): void
    {
        $bench = new Bench(Fixtures::furnace(), Fixtures::universe()->get('w17:rubs'), new Memory());
        $state = $bench->machine()->initial();
        $state = $state->withSlots(['thermostat.mode' => ['at' => 'off']]);
        $state = $bench->machine()->settle($state);
        $state = $bench->machine()->advance($state, 60_000);
        self::assertTrue($state->slots['fuse.element']['whole'], 'no call, no current');
        $state = $state->withSlots(['thermostat.mode' => ['at' => 'heat']]);
        $state = $bench->machine()->advance($bench->machine()->settle($state), 61_000);
        self::assertFalse($state->slots['fuse.element']['whole']);
    }

    public function test_a_weak_capacitor_makes_the_limit_cycle_after_minutes(): void
    {
        [$machine, $state] = $this->powered('capacitor:weak@3.5');
        $opened = null;
        $machine->advance($state, 1_800_000, function (MachineState $s) use (&$opened): bool {
            $opened ??= $s->slots['limit.disc']['made'] ? null : $s->tick;

            return false;
        });
        self::assertNotNull($opened);
        self::assertGreaterThan(180_000, $opened);
    }

    public function test_the_same_run_twice_is_the_same_to_the_bit_and_in_any_order_of_parts(): void
    {
        $plan = Fixtures::furnace();
        $run = function (Machine $m): string {
            $s = $m->advance($m->settle($m->initial()), 700_000);
            $slots = $s->slots;
            ksort($slots);

            return serialize([$s->tick, $slots]);
        };
        $first = $run(new Machine($plan, [], new Memory()));
        self::assertSame($first, $run(new Machine($plan, [], new Memory())));
        $turned = $plan->toArray();
        $turned['primitives'] = array_reverse($turned['primitives'], true);
        self::assertSame($first, $run(new Machine(\OddSpark\Appliance\Plan::fromArray($turned), [], new Memory())));
    }

    /** @return array{Machine, array<string, mixed>} */
    private function powered(string $fault = 'healthy'): array
    {
        $machine = new Machine(Fixtures::furnace(), Fixtures::universe()->get($fault)->set, new Memory());

        return [$machine, $machine->settle($machine->initial())];
    }

    private function logger(Machine $machine): callable
    {
        return function (MachineState $s) use ($machine): bool {
            $p = $machine->plan->places;
            $solution = $machine->solution($s);
            $this->log[] = [
                $s->tick / 1000,
                $s->slots['board.control']['state'],
                $solution->acVolts($p['board.R'], $p['board.C']),
                $solution->acVolts($p['valve.MV'], $p['valve.MVC']),
            ];

            return false;
        };
    }

    /** @return array<string, float> first time of each state */
    private function entries(): array
    {
        $at = [];
        foreach ($this->log as [$t, $state]) {
            $at[$state] ??= $t;
        }

        return $at;
    }
}
