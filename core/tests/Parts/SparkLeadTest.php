<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A spark is a circuit: generator, lead, gap. Common practice, no source. */
final class SparkLeadTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string, array<string, mixed>}> */
    public static function models(): iterable
    {
        $of = [
            'package-direct-spark' => ['w32', 'burners.fire', 'module.gap'],
            'boiler-hydronic' => ['w25', 'pilot.fire', 'module.gap'],
        ];
        foreach ($of as $model => [$lead, $fire, $gap]) {
            yield "$model, broken" => [$model, $lead, $fire, $gap, ["$lead.body.open" => true]];
            yield "$model, off at the module" => [$model, $lead, $fire, $gap, ['lift' => "$lead.a"]];
            yield "$model, off at the electrode" => [$model, $lead, $fire, $gap, ['lift' => "$lead.b"]];
        }
    }

    /** @param array<string, mixed> $bad */
    #[DataProvider('models')]
    public function test_without_its_lead_it_snaps_in_the_module_and_lights_nothing(
        string $model,
        string $lead,
        string $fire,
        string $gap,
        array $bad,
    ): void {
        $wire = TestRig::plan($model)->model->wires()[$lead];
        self::assertStringEndsWith('.SPARK', $wire->from);

        $sound = $this->calling(TestRig::of($model));
        self::assertNotNull($sound->until(fn (TestRig $s) => $s->slot($gap, 'where') === 'burner', 400));
        self::assertNotNull($sound->until(fn (TestRig $s) => $s->isLit($fire), 60));

        $rig = TestRig::of($model, array_diff_key($bad, ['lift' => 1]));
        $rig = $this->calling(isset($bad['lift']) ? $rig->lift($bad['lift']) : $rig);
        self::assertNotNull($rig->until(fn (TestRig $s) => $s->slot($gap, 'where') === 'inside', 400));
        self::assertNull($rig->until(fn (TestRig $s) => $s->isLit($fire), 300));
        self::assertGreaterThan(0, $rig->slot($fire, 'raw'), 'fuel went out unlit');
    }

    public function test_a_bad_joint_is_jumped(): void
    {
        $rig = $this->calling(TestRig::of('package-direct-spark', ['w32.body.extra_ohm' => 2e8]));
        self::assertNotNull($rig->until(fn (TestRig $s) => $s->isLit('burners.fire'), 400));
    }

    public function test_where_it_snaps_is_heard_and_raw_gas_is_smelt(): void
    {
        [$bench, $state] = $this->bench('w32:open');
        $heard = $smelt = [];
        for ($t = 2; $t < 200; $t++) {
            $state = $bench->advance($state, 1000 * $t);
            $heard[$bench->now($state)['module.ticks']] = true;
            [$state, $outcome] = $bench->do($state, Fixtures::act($t, 'smell'));
            $smelt[$outcome->seen['smell']] = true;
        }
        self::assertArrayHasKey('inside', $heard);
        self::assertArrayNotHasKey('burner', $heard);
        self::assertArrayHasKey('of fuel', $smelt);
        self::assertSame('spark snaps in the module', $bench->perception()->say('module.ticks', 'inside'));
    }

    public function test_hands_and_leads_on_a_lead_that_fires_are_a_danger(): void
    {
        foreach (
            [
                ['lift', ['end' => 'w32.b']],
                ['leads', ['red' => 'module.SPARK', 'black' => 'module.GND']],
                ['leads', ['red' => 'module.GND', 'black' => 'w32.a']],
            ] as [$act, $with]
        ) {
            self::assertContains('spark-lead', $this->whileItFires($act, $with)->dangers, $act);
        }
        self::assertSame([], $this->whileItFires('leads', ['red' => 'module.TH', 'black' => 'module.TR'])->dangers);
        [$bench, $state] = $this->bench('healthy');
        [, $outcome] = $bench->do(
            $state,
            Fixtures::act(1, 'leads', ['red' => 'module.SPARK', 'black' => 'module.GND']),
        );
        self::assertSame([], $outcome->dangers, 'it does not fire yet');
    }

    public function test_leads_that_wait_on_the_lead_when_it_begins_to_fire_are_told_of(): void
    {
        [$bench, $state] = $this->bench('w32:open');
        [$state] = $bench->do($state, Fixtures::act(1, 'leads', ['red' => 'module.SPARK', 'black' => 'module.GND']));
        $state = $bench->advance($state, 180_000);
        [, $outcome] = $bench->do($state, Fixtures::act(180, 'look', ['part' => 'module']));
        self::assertContains('spark-lead', $outcome->dangers);
    }

    /** @param array<string, mixed> $with */
    private function whileItFires(string $act, array $with): Outcome
    {
        [$bench, $state] = $this->bench('w32:open');
        for ($t = 2; $t < 200; $t++) {
            $state = $bench->advance($state, 1000 * $t);
            if ($bench->now($state)['module.ticks'] === 'inside') {
                [, $outcome] = $bench->do($state, Fixtures::act($t, $act, $with));

                return $outcome;
            }
        }
        self::fail('It never fired.');
    }

    /** @return array{Bench, BenchState} of the package unit with its panel off */
    private function bench(string $fault): array
    {
        $plan = TestRig::plan('package-direct-spark');
        $bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $state = $bench->resume($bench->arrive('cold')->state);
        [$state] = $bench->do($state, Fixtures::act(0, 'door', ['to' => 'open']));

        return [$bench, $state];
    }

    private function calling(TestRig $rig): TestRig
    {
        return $rig->set('thermostat.set', 85);
    }
}
