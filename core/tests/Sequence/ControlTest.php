<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** The stock table of the furnace: well formed, and every state of it met. */
final class ControlTest extends TestCase
{
    public function test_every_guard_leads_to_a_state_and_asks_of_inputs_and_times_that_are_there(): void
    {
        $spec = Fixtures::furnace()->primitives['board.control']['spec'];
        $table = $spec['table'];
        foreach ($table['states'] as $name => $state) {
            foreach ($state['guards'] as $guard) {
                self::assertArrayHasKey($guard['go'], $table['states'], $name);
                foreach (array_keys($guard['if'] ?? []) as $input) {
                    self::assertArrayHasKey($input, $spec['inputs'], $name);
                }
                if (isset($guard['after'])) {
                    self::assertArrayHasKey($guard['after'], $table['times'], $name);
                }
            }
            if (in_array('valve', $state['outputs'], true)) {
                self::assertContains('inducer', $state['outputs'], "$name opens the valve without draught");
                $leave = array_merge(...array_map(fn (array $g) => array_keys($g['if'] ?? []), $state['guards']));
                foreach (['limit', 'rollout', 'call', 'pressure', 'flame'] as $proof) {
                    self::assertContains($proof, $leave, "$name does not look at $proof");
                }
            }
        }
    }

    public function test_every_state_is_met_under_some_fault(): void
    {
        $plan = Fixtures::furnace();
        $all = array_keys($plan->primitives['board.control']['spec']['table']['states']);
        $met = [];
        $memory = new Memory();
        $note = function (MachineState $s) use (&$met): bool {
            $met[$s->slots['board.control']['state']] = true;

            return false;
        };
        foreach (
            [
                'healthy',
                'limit:stuck-open',
                'rollout-l:stuck-open',
                'pressure:stuck-closed',
                'hose:off',
                'cock:shut',
                'rod:dirty',
                'filter:blocked@half',
            ] as $fault
        ) {
            $m = new Machine($plan, Fixtures::universe()->get($fault)->set, $memory);
            $m->advance($m->settle($m->initial()), 1_500_000, $note);
        }
        // a call that ends, the fan alone, a hose pulled off in run, a flame that is sensed with the valve off
        $m = new Machine($plan, [], $memory);
        $s = $m->advance($m->settle($m->initial()), 200_000, $note);
        $s = $s->withSlots(['hose.end' => ['at' => 'off']]);
        $s = $m->advance($m->settle($s), 260_000, $note);
        $s = $s->withSlots(['hose.end' => ['at' => 'on']]);
        $s = $m->advance($m->settle($s), 500_000, $note);
        $s = $s->withSlots(['cock.handle' => ['at' => 'shut']]);
        $s = $m->advance($m->settle($s), 560_000, $note);
        $s = $s->withSlots(['cock.handle' => ['at' => 'open']]);
        $s = $m->advance($m->settle($s), 800_000, $note);
        $s = $s->withSlots(['thermostat.mode' => ['at' => 'off']]);
        $s = $m->advance($m->settle($s), 1_200_000, $note);
        $s = $s->withSlots(['thermostat.fan' => ['at' => 'on']]);
        $m->advance($m->settle($s), 1_260_000, $note);
        $valve = new Machine($plan, ['valve.seat.stuck' => 'open'], $memory);
        $s = $valve->advance($valve->settle($valve->initial()), 120_000, $note);
        $s = $s->withSlots(['thermostat.mode' => ['at' => 'off']]);
        $valve->advance($valve->settle($s), 400_000, $note);
        self::assertSame([], array_values(array_diff($all, array_keys($met))), 'never met');
    }

    public function test_gas_shut_in_run_is_retried_and_locked_out(): void
    {
        $m = new Machine(Fixtures::furnace(), [], new Memory());
        $s = $m->advance($m->settle($m->initial()), 200_000);
        self::assertSame('heat', $s->slots['board.control']['state']);
        $s = $s->withSlots(['cock.handle' => ['at' => 'shut']]);
        $tries = 0;
        $last = 'heat';
        $s = $m->advance($m->settle($s), 700_000, function (MachineState $s) use (&$tries, &$last): bool {
            $now = $s->slots['board.control']['state'];
            $tries += $now === 'trial' && $last !== 'trial' ? 1 : 0;
            $last = $now;

            return $now === 'lockout';
        });
        self::assertSame('lockout', $last);
        self::assertSame(3, $tries);
    }

    public function test_a_hose_pulled_off_in_run_drops_the_valve(): void
    {
        $m = new Machine(Fixtures::furnace(), [], new Memory());
        $s = $m->advance($m->settle($m->initial()), 200_000);
        $s = $s->withSlots(['hose.end' => ['at' => 'off']]);
        $s = $m->advance($m->settle($s), 210_000);
        $p = Fixtures::furnace()->places;
        self::assertLessThan(1, $m->solution($s)->acVolts($p['valve.MV'], $p['valve.MVC']));
        self::assertFalse($s->slots['burners.fire']['lit']);
    }
}
