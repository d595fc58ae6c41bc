<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each archetype's healthy cycle: every load in its turn, within the times of the trade (common practice, no source).
 */
final class HealthyCycleTest extends TestCase
{
    /** Each so-manieth fault of every model is met in every run of the tests, all of them in ./spark check. */
    private const EACH = 12;

    public function test_standing_pilot_furnace(): void
    {
        $s = TestRig::of('furnace-standing-pilot')->set('thermostat.set', 50);
        self::light($s);
        self::assertTrue($s->slot('valve.magnet', 'on'), 'the pilot holds by itself after about a minute');
        self::assertEqualsWithDelta(
            13,
            1000 * $s->dc('valve.core', 'valve.sheath'),
            3.5,
            'about half of 30 mV on its coil',
        );
        self::assertFalse($s->isLit());
        $s->set('thermostat.set', 70);
        self::assertLessThan(2.0, $s->until(fn (TestRig $s) => $s->isLit(), 30));
        $fan = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 300);
        self::assertGreaterThan(20, $fan, 'not before the air is warm, near 130 °F');
        self::assertLessThan(120, $fan);
        $s->run(600)->set('thermostat.set', 50)->run(1);
        self::assertFalse($s->isLit());
        $off = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') < 0.1, 600);
        self::assertGreaterThan(10, $off, 'the fan takes the rest of the heat');
        self::assertTrue($s->isLit('pilot-burner.fire'));
    }

    public function test_package_unit_with_direct_spark(): void
    {
        $s = TestRig::of('package-direct-spark', ['thermostat.mode.at' => 'off'])
            ->run(60)
            ->set('thermostat.mode', 'heat');
        self::assertLessThan(5, $s->until(fn (TestRig $s) => $s->slot('pressure.contact', 'closed'), 20));
        $spark = $s->until(fn (TestRig $s) => $s->slot('module.gap', 'free') > 0.5, 30);
        self::assertEqualsWithDelta(10, $spark, 1.0, 'some ten seconds of wait');
        $gas = $s->until(fn (TestRig $s) => $s->slot('valve.coil', 'on'), 30);
        self::assertEqualsWithDelta(3, $gas, 0.5, 'gas three to four seconds later');
        self::assertLessThan(2, $s->until(fn (TestRig $s) => $s->isLit(), 6));
        $s->run(3);
        self::assertSame('run', $s->slot('module.control', 'state'));
        self::assertEqualsWithDelta(0.0, $s->volts('module.TR', 'module.VC'), 0.01, 'joined inside');
        self::assertLessThan(40, $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 60));
        $s->run(400)->set('thermostat.mode', 'off')->run(2);
        self::assertFalse($s->isLit());
        $off = $s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') < 0.1, 200);
        self::assertEqualsWithDelta(90, $off, 5);
    }

    public function test_oil_furnace(): void
    {
        $s = TestRig::of('oil-furnace')->set('thermostat.set', 50)->run(60)->set('thermostat.set', 70);
        self::assertLessThan(1, $s->until(fn (TestRig $s) => $s->slot('motor.motor', 'target') > 0.5, 5));
        self::assertTrue($s->slot('ignition.primary', 'on') || $s->run(0.1)->slot('ignition.primary', 'on'));
        self::assertEqualsWithDelta(
            15,
            $s->until(fn (TestRig $s) => $s->slot('oil-valve.coil', 'on'), 30),
            1,
            'valve-on delay',
        );
        self::assertLessThan(2, $s->until(fn (TestRig $s) => $s->isLit('nozzle.fire'), 10));
        self::assertLessThan(
            1600,
            $s->machine->solution($s->state)->dcOhms($s->plan->places['cell.1'], $s->plan->places['cell.2']),
            'the cell in its flame',
        );
        self::assertEqualsWithDelta(100, $s->value('pump-port'), 1.5);
        $s->run(15);
        self::assertFalse($s->slot('ignition.primary', 'on'), 'interrupted once the flame stands');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('blower.motor', 'target') > 0.5, 200));
        $s->run(600)->set('thermostat.set', 50)->run(2);
        self::assertFalse($s->isLit('nozzle.fire'));
        self::assertTrue($s->slot('motor.motor', 'target') > 0.5, 'the motor runs on');
        self::assertEqualsWithDelta(28, $s->until(fn (TestRig $s) => $s->slot('motor.motor', 'target') < 0.1, 60), 3);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_a_healthy_appliance_is_found_working_and_its_universe_is_fit(string $name): void
    {
        $plan = TestRig::plan($name);
        $faultSet = FaultSet::of($plan->model);
        foreach ($plan->model->visits() as $visit) {
            $arrival = (new Bench($plan, $faultSet->get('healthy'), new Memory()))->arrive($visit);
            self::assertSame(['works'], array_column($arrival->complaint, 'id'), "$name, $visit");
        }
        $families = array_count_values(array_map(fn ($f) => $f->family, array_values($faultSet->faults)));
        self::assertGreaterThanOrEqual(40, count($faultSet->faults));
        self::assertLessThanOrEqual(
            0.4 * count($faultSet->faults),
            $families['wires'],
            'wires together no likelier than the parts',
        );
        $weights = array_map(fn ($f) => $f->weight, $faultSet->faults);
        $wires = array_sum(
            array_intersect_key($weights, array_filter($faultSet->faults, fn ($f) => $f->family === 'wires')),
        );
        self::assertLessThan(array_sum($weights) / 2, $wires);
    }

    #[DataProvider('models')]
    public function test_every_fault_can_be_met_and_none_buzzes(string $name): void
    {
        $plan = TestRig::plan($name);
        $memory = new Memory();
        $visit = $plan->model->visits()[0];
        $n = 0;
        foreach (FaultSet::of($plan->model)->faults as $id => $fault) {
            if (getenv('SPARK_ALL_FAULTS') === false && $n++ % self::EACH !== 0) {
                continue;
            }
            $bench = new Bench($plan, $fault, $memory);
            $state = $bench->arrive($visit)->state;
            $state = $bench->resume($state);
            $state = $bench->advance($state, 120_000);
            foreach ($state->slots as $primitive => $slot) {
                self::assertFalse($slot['buzz'] ?? false, "$primitive buzzes under $id");
            }
            self::assertNotSame([], $bench->record->until(120_000), $id);
        }
    }

    #[DataProvider('models')]
    public function test_the_same_run_is_the_same_to_the_bit_and_in_any_order_of_parts(string $name): void
    {
        $document = TestRig::plan($name)->model->document;
        $run = function (array $d): array {
            $plan = \OddSpark\Appliance\Compiler::compile(new \OddSpark\Appliance\Model($d));
            $m = new Machine($plan, [], new Memory());
            $slots = $m->advance($m->settle($m->initial()), 1_800_000)->slots;
            ksort($slots);

            return $slots;
        };
        $first = $run($document);
        self::assertSame($first, $run($document));
        $document['parts'] = array_reverse($document['parts']);
        $document['process'] = array_reverse($document['process'], true);
        self::assertEquals(array_map(self::rounded(...), $first), array_map(self::rounded(...), $run($document)));
    }

    /** Courses to a billionth: another order of summing rounds otherwise in the last place. */
    private static function rounded(mixed $x): mixed
    {
        return is_array($x) ? array_map(self::rounded(...), $x) : (is_float($x) ? round($x, 6) : $x);
    }

    public static function light(TestRig $s): void
    {
        $s->set('valve.knob', 'pilot')
            ->set('pilot-burner.match', 'held to it')
            ->set('valve.button', 'pushed')
            ->run(5)
            ->set('pilot-burner.match', 'away')
            ->run(60)
            ->set('valve.button', 'out')
            ->run(5)
            ->set('valve.knob', 'on')
            ->run(60);
    }
}
