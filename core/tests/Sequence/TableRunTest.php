<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Appliance\Library;
use OddSpark\Run\MachineState;
use OddSpark\Tests\Archetypes\HealthyCycleTest;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Stock tables by themselves: every state met, timers that run through states. */
final class TableRunTest extends TestCase
{
    public function test_every_state_of_the_other_stock_tables_is_met(): void
    {
        $met = [];
        $note = function (string $control, TestRig $s) use (&$met): callable {
            return function (float $seconds) use ($control, $s, &$met): void {
                $s->state = $s->machine->advance($s->state, $s->state->tick + (int) (1000 * $seconds), function (
                    MachineState $state,
                ) use ($control, &$met): bool {
                    $met[explode('/', $control)[0]][$state->slots[explode('/', $control)[1]]['state']] = true;

                    return false;
                });
            };
        };
        // direct spark: a cycle, a lost flame, no flame, a flame with the valve off
        $s = TestRig::of('package-direct-spark');
        $run = $note('direct-spark/module.control', $s);
        $run(100);
        $s->set('cock.handle', 'shut');
        $run(2);
        $s->set('cock.handle', 'open');
        $run(60);
        $s = TestRig::withFault('package-direct-spark', 'rod:dirty');
        $note('direct-spark/module.control', $s)(120);
        $s = TestRig::of('package-direct-spark', ['valve.seat.stuck' => 'open']);
        $run = $note('direct-spark/module.control', $s);
        $run(60);
        $s->set('thermostat.mode', 'off');
        $run(30);
        $s->set('thermostat.mode', 'heat');
        $run(30);
        // intermittent pilot: a cycle, no pilot, a pilot that burns with its valve off
        $s = TestRig::of('boiler-hydronic');
        $note('intermittent-pilot/module.control', $s)(120);
        $s = TestRig::withFault('boiler-hydronic', 'pilot:gap');
        $note('intermittent-pilot/module.control', $s)(400);
        $s = TestRig::of('boiler-hydronic', ['valve.pilot.stuck' => 'open']);
        $run = $note('intermittent-pilot/module.control', $s);
        $run(60);
        $s->set('service.lever', 'off');
        $run(5);
        $s->set('service.lever', 'on');
        $run(5);
        // oil primary
        $s = TestRig::of('oil-furnace');
        $run = $note('oil-primary/primary.control', $s);
        $run(120);
        $s->set('tank.cock', 'shut');
        $run(3);
        $s->set('tank.cock', 'open');
        $run(100);
        $s->set('thermostat.set', 50);
        $run(10);
        $s = TestRig::withFault('oil-furnace', 'cell:stray');
        $note('oil-primary/primary.control', $s)(30);
        $s = TestRig::withFault('oil-furnace', 'nozzle:plugged');
        $run = $note('oil-primary/primary.control', $s);
        foreach ([1, 2, 3] as $try) {
            $run(90);
            $s->reset('primary.control');
        }
        $run(90);
        // simple boiler
        $s = TestRig::of('boiler-simple-230')->put('block.water', 40);
        $run = $note('boiler-230/board.control', $s);
        $run(60);
        $s->put('block.water', 90);
        $run(20);
        $s->set('stat.set', 5);
        $run(20);
        foreach (['air:stuck-closed', 'air:stuck-open', 'limit:stuck-open', 'meter:no-gas'] as $fault) {
            $s = TestRig::withFault('boiler-simple-230', $fault)->put('block.water', 40);
            $note('boiler-230/board.control', $s)(150);
        }
        $library = new Library();
        foreach (array_keys($met) as $table) { // the others: TableRunsTest
            $table = (string) $table;
            $all = array_map('strval', array_keys($library->table($table)['states']));
            self::assertSame([], array_values(array_diff($all, array_keys($met[$table]))), "$table: never met");
        }
    }

    public function test_timers_run_through_states_and_are_gone_with_the_power(): void
    {
        // the pilot furnace is lit here only to have a model at hand that is not a board
        $s = TestRig::of('furnace-standing-pilot');
        HealthyCycleTest::light($s);
        self::assertTrue($s->isLit('pilot-burner.fire'));
        $document = TestRig::plan('boiler-simple-230')->model->document;
        $at = array_search('board', array_column($document['parts'], 'id'), true);
        $document['parts'][$at]['params'] = ['control' => ['overrides' => [
            'times.total_s' => 60,
            'states.purge.guards.3.do' => ['all' => 'start'],
            'states.burn.guards.4' => ['timer' => ['all' => 'total_s'], 'go' => 'lockout'],
        ]]];
        $s = TestRig::ofModel((new Library())->resolve($document))->put('block.water', 30);
        $burns = $s->until(fn (TestRig $s) => $s->isLit(), 60);
        self::assertNotNull($burns);
        $locked = $s->until(fn (TestRig $s) => $s->slot('board.control', 'state') === 'lockout', 90);
        self::assertEqualsWithDelta(59, $locked, 1.5, 'counted from the end of the purge, through the trial');
        $s->set('spur.lever', 'off')->run(5);
        self::assertSame([], $s->slot('board.control', 'timer'));
        $s->set('spur.lever', 'on')->run(5);
        self::assertSame('lockout', $s->slot('board.control', 'state'), 'and the lockout is remembered');
    }
}
