<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\MachineState;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** No state of a stock table stands there unmet: each is come to in a run of the model that has it. */
final class TableRunsTest extends TestCase
{
    private const OFF = ['thermostat.mode', 'off'];

    private const LIT = [
        ['valve.knob', 'pilot'], ['pilot-burner.match', 'pressed'], ['valve.button', 'pushed'], 90,
        ['valve.button', 'out'], ['valve.knob', 'on'],
    ];

    private const HEAT = ['thermostat.mode', 'heat'];

    /**
     * By table its model and control, and runs: a fault, or changes of primitives, and then seconds, or a lever and
     * what it is set to.
     */
    private const RUNS = [
        'furnace-two-stage' => ['furnace-two-stage', 'board.control', [
            ['limit:opens-low', 400], ['meter:no-gas', 400], ['valve:low-open', 40], ['exchanger:cracked', 400],
            ['flue:blocked', 200], [
                'board:inducer-high-dead',
                400,
            ], ['board:second-input-dead', 200], ['low:stuck-closed', 40],
            ['board:valve-relay-welded', 400], ['hose-high:off', 400],
            ['healthy', 400, self::OFF, 60, self::HEAT, 5, ['thermostat.fan', 'on'], self::OFF, 220],
            ['healthy', 100, ['cock.handle', 'shut'], 4], ['healthy', 100, ['hose-low.end', 'off'], 4],
        ]],
        'furnace-letters' => ['furnace-letters', 'board.control', [
            ['limit:opens-low', 400], ['meter:no-gas', 400], ['valve:coil-shorted', 100], ['exchanger:cracked', 400],
            ['flue:blocked', 200], ['pressure:stuck-closed', 40], ['healthy', 100, ['hose.end', 'off'], 4],
            ['healthy', self::OFF, 10],
            [
                'healthy',
                150,
                self::OFF,
                60,
                ['thermostat.fan', 'on'],
                220,
            ], ['healthy', 100, ['cock.handle', 'shut'], 4],
            [['valve.seat.stuck' => 'open'], 90, self::OFF, 40, self::HEAT, 10],
        ]],
        'surface-module' => ['furnace-surface-module', 'module.control', [
            ['healthy', 60], ['meter:no-gas', 400],
            [['valve.seat.stuck' => 'open'], 90, ['hose.end', 'off'], 2, ['hose.end', 'on'], 5],
        ]],
        'constant-pilot' => ['boiler-constant-pilot', 'module.control', [['healthy', 60], ['pilot:gap', 120]]],
        'tube-heater' => ['tube-heater', 'board.control', [['healthy', 100], ['cord:swapped', 400]]],
        'thermopile-control' => ['water-heater-thermopile', 'valve.control', [
            ['healthy', ...self::LIT, 40], [
                ['valve.control.inputs.over.on' => 100, 'valve.control.inputs.over.off' => 90],
                ...self::LIT,
                40,
            ],
        ]],
        'combi' => ['combi-230', 'board.control', [
            ['healthy', 400, ['stat.set', 5], 90, ['tap.flow', 'open'], 400, ['tap.flow', 'shut'], 30],
            ['meter:no-gas', 200], ['fan:open', 60], ['air:stuck-closed', 20], ['limit:stuck-open', 20],
            ['meter:no-gas', ['tap.flow', 'open'], 200], ['air:stuck-open', ['tap.flow', 'open'], 60],
            ['board:pump-dead', 400], ['board:pump-dead', ['tap.flow', 'open'], 400],
        ]],
        'valve-ignition' => ['furnace-valve-ignition', 'valve.control', [
            ['healthy', 100, ['thermostat.set', 50], 40], ['meter:no-gas', 600], ['valve:inducer-dead', 120],
            ['pressure:stuck-closed', 30], ['limit:opens-low', 300],
            [['valve.pilot.stuck' => 'open'], 100, ['thermostat.set', 50], 40],
        ]],
        'air-zones' => ['zones-air', 'panel.control', [
            ['healthy', 200, ['thermostat-1.mode', 'off'], 20, ['thermostat-2.mode', 'off'], 200],
            ['healthy', 200, ['thermostat-2.mode', 'off'], 20, ['thermostat-1.mode', 'off'], 40],
            ['healthy', 200, ['thermostat-2.mode', 'off'], ['thermostat-1.mode', 'off'], 10],
            [['panel.control.inputs.hot.stuck' => true], 100],
            [['panel.control.inputs.hot.stuck' => true], ['thermostat-1.mode', 'off'], 100],
            [['panel.control.inputs.hot.stuck' => true], ['thermostat-2.mode', 'off'], 300],
        ]],
        'pool-heater' => ['pool-heater', 'board.control', [
            ['meter:no-gas', 400], ['exchanger:bypass-stuck', 400], ['intake:blocked', 200], ['air:stuck-closed', 20],
            ['healthy', 150, ['board.set', 60], 90], ['flow:stuck-open', 10],
        ]],
    ];

    /** @return iterable<string, array{string}> */
    public static function tables(): iterable
    {
        foreach (array_keys(self::RUNS) as $table) {
            yield $table => [$table];
        }
    }

    #[DataProvider('tables')]
    public function test_every_state_is_met(string $table): void
    {
        [$model, $control, $runs] = self::RUNS[$table];
        $met = [];
        foreach ($runs as $run) {
            foreach ($this->statesOf($model, $control, $run) as $state) {
                $met[$state] = true;
            }
        }
        $all = array_map(strval(...), array_keys((new Library())->table($table)['states']));
        self::assertSame([], array_values(array_diff($all, array_keys($met))), "$table: never met");
    }

    public function test_no_table_is_left_out(): void
    {
        $elsewhere = ['furnace-hot-surface', 'boiler-230', 'direct-spark', 'intermittent-pilot', 'oil-primary'];
        $tables = [...array_keys(self::RUNS), ...$elsewhere]; // those: TableTest
        self::assertEqualsCanonicalizing((new Library())->tables(), $tables);
    }

    /**
     * @param array<int, mixed> $run
     * @return list<string>
     */
    private function statesOf(string $model, string $control, array $run): array
    {
        $with = array_shift($run);
        $set = is_string($with) ? FaultSet::of(TestRig::plan($model)->model)->get($with)->set : $with;
        $s = TestRig::of($model, $set);
        $met = [];
        foreach ($run as $step) {
            if (is_array($step)) {
                $s->set(...$step);

                continue;
            }
            $see = function (MachineState $now) use ($control, &$met): bool {
                $met[$now->slots[$control]['state']] = true;

                return false;
            };
            $s->state = $s->machine->advance($s->state, $s->state->tick + 1000 * $step, $see);
        }

        return array_map(strval(...), array_keys($met));
    }
}
