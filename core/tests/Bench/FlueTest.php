<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Process\Combustion;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is measured at the flue and at the oil pump: analyser, smoke pump, draught gauge, pressure gauge. */
final class FlueTest extends TestCase
{
    private Bench $bench;

    /** @var array<string, mixed> */
    private BenchState $state;

    /** Mole balances written out by hand: fuel + λ(1 + y/4)(O2 + 3.773 N2), water left out. */
    public function test_oxygen_is_what_the_balance_of_the_moles_leaves(): void
    {
        // CH4, half as much air again: 1 CO2, 1 O2, 3 · 3.773 N2
        self::assertEqualsWithDelta(100 * 1 / (1 + 1 + 11.319), Combustion::oxygen(1.5, 4), 0.01);
        // CH1.8, a quarter more: 1 CO2, 0.3625 O2, 1.8125 · 3.773 N2
        self::assertEqualsWithDelta(100 * 0.3625 / (1 + 0.3625 + 6.8386), Combustion::oxygen(1.25, 1.8), 0.01);
        self::assertSame(0.0, Combustion::oxygen(0.9, 4));
        self::assertEqualsWithDelta(20.95, Combustion::oxygen(INF, 4), 1e-9);
    }

    public function test_an_oil_fire_in_order_has_oxygen_to_spare_no_smoke_draught_and_pressure(): void
    {
        $this->arrive('oil-furnace', 'healthy');
        $read = $this->readings();
        self::assertEqualsWithDelta(5.7, $read['analyser'], 0.5);
        self::assertSame(0.0, $read['smoke']);
        self::assertEqualsWithDelta(-0.04, $read['draught'], 0.005);
        self::assertEqualsWithDelta(100, $read['oil_gauge'], 5);
    }

    public function test_a_shut_air_gate_smokes_and_a_blocked_flue_has_no_draught_as_well(): void
    {
        $this->arrive('oil-furnace', 'motor:gate-shut');
        $gate = $this->readings();
        self::assertLessThan(2.5, $gate['analyser']);
        self::assertGreaterThanOrEqual(4, $gate['smoke']);
        self::assertEqualsWithDelta(-0.06, $gate['draught'], 0.015, 'less comes up the same chimney');
        self::assertStringContainsString('first mark', $this->do(900, 'look', ['part' => 'motor'])->seen['condition']);

        $this->arrive('oil-furnace', 'flue:blocked');
        $flue = $this->readings();
        self::assertSame(9.0, $flue['smoke']);
        self::assertGreaterThan(-0.015, $flue['draught']);
    }

    public function test_too_much_gas_pressure_leaves_less_oxygen(): void
    {
        $oxygen = function (string $fault): float {
            $stand = TestRig::withFault('furnace-80', $fault)->run(10)->set('thermostat.mode', 'heat');
            $stand->until(fn (TestRig $s) => $s->isLit(), 200);

            return $stand->run(60)->value('flue-gas');
        };
        self::assertEqualsWithDelta(8.6, $oxygen('healthy'), 0.3);
        self::assertLessThan(3.5, $oxygen('valve:set-high@to the inlet pressure'));
    }

    public function test_without_fire_the_analyser_finds_air(): void
    {
        $this->arrive('oil-furnace', 'ignition:open');
        self::assertEqualsWithDelta(
            20.9,
            (float) $this->do(300, 'analyser', ['tap' => 'flue-gas'])->reading?->value,
            0.3,
        );
    }

    #[DataProvider('refusals')]
    public function test_what_cannot_be_measured_says_why(string $act, ?string $tap, string $why): void
    {
        $this->arrive('oil-furnace', 'healthy');
        self::assertSame($why, $this->do(1, $act, ['tap' => $tap])->refused);
    }

    /** @return iterable<string, array{string, string|null, string}> */
    public static function refusals(): iterable
    {
        foreach (['draught', 'analyser', 'smoke'] as $act) {
            yield $act => [$act, 'pump-port', 'There is no tap called "pump-port" for this instrument.'];
        }
        yield 'oil gauge at the flue' => [
            'oil_gauge',
            'breech',
            'There is no tap called "breech" for this instrument.',
        ];
        yield 'oil gauge behind the door' => ['oil_gauge', 'pump-port', 'That is behind the door.'];
    }

    /** @return array<string, float> by instrument, after a quarter of an hour of fire */
    private function readings(): array
    {
        $this->do(0, 'door', ['to' => 'open']);
        $this->do(0, 'set', ['part' => 'thermostat', 'lever' => 'set', 'to' => 80]);
        $read = [];
        foreach (
            [
                'analyser' => 'flue-gas',
                'smoke' => 'flue-smoke',
                'draught' => 'breech',
                'oil_gauge' => 'pump-port',
            ] as $act => $tap
        ) {
            $read[$act] = $this->do(200, $act, ['tap' => $tap])->reading->value ?? INF;
        }
        self::assertTrue($this->state->slots['nozzle.fire']['lit']);

        return $read;
    }

    private function arrive(string $model, string $fault): void
    {
        $plan = TestRig::plan($model);
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory(), 1);
        $this->state = $this->bench->arrive($plan->model->visits()[0])->state;
        $this->state = $this->bench->resume($this->state);
    }

    /** @param array<string, mixed> $with */
    private function do(float $at, string $act, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($at, $act, $with));

        return $outcome;
    }
}
