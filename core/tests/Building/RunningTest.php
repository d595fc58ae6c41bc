<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\HealthyRun;
use OddSpark\Building\SafetyTest;
use OddSpark\Building\Why;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is asked of a healthy run: volts, why something is off, and whether every safety stops the fuel. */
final class RunningTest extends TestCase
{
    public function test_volts_stand_against_the_home_of_their_own_circuit(): void
    {
        $volts = (new HealthyRun($this->plan('furnace-standing-pilot'), 'cold', 60_000))->everywhere();
        self::assertEqualsWithDelta(121, $volts['breaker.load']['volts'], 1.5);
        self::assertSame('panel.N', $volts['breaker.load']['against']);
        self::assertEqualsWithDelta(26, $volts['valve.TH']['volts'], 2.0);
        self::assertSame('transformer.X2', $volts['valve.TH']['against']);
        // healthy, loaded: 10 to 17 mV at the valve, open 25 to 35 (common practice, no source)
        self::assertTrue($volts['valve.core']['dc']);
        self::assertEqualsWithDelta(0.014, $volts['valve.core']['volts'], 0.004);
    }

    public function test_why_goes_back_to_what_a_control_waits_for(): void
    {
        $why = new Why(new HealthyRun($this->plan('furnace-80'), 'cold', 3000));
        $chain = self::told($why->of('valve.coil'));
        self::assertStringContainsString('Gas valve: coil has 0 V across it', $chain[0]);
        self::assertStringContainsString('valve relay is open', $chain[1]);
        self::assertStringContainsString('is in "Prepurge"; it gives "valve" only in "Trial for ignition"', $chain[2]);
        self::assertStringContainsString('It goes on when: after 15 s → Igniter warms up', $chain[3]);
        self::assertCount(4, $chain, 'what leads elsewhere is not told');
        self::assertStringContainsString('has no fuel', self::told($why->of('burners.fire'))[0]);
    }

    public function test_why_goes_through_relays_transformers_and_end_switches(): void
    {
        $chain = self::told(
            (new Why(new HealthyRun($this->plan('zones-hydronic'), 'cold', 3000)))->of('boiler.valve.main_coil'),
        );
        foreach (
            [
                'control is without power',
                'its secondary, 24 V gives 0 V',
                'Switching relay: ends is open',
                'Zone panel: ends is open',
                'Zone valve 1: travel stands open at',
            ] as $link
        ) {
            self::assertNotSame(
                [],
                array_filter($chain, fn (string $t) => str_contains($t, $link)),
                "$link: ".implode(' / ', $chain),
            );
        }
    }

    public function test_why_ends_at_what_a_person_has_set(): void
    {
        $library = new Library();
        $document = (new Edits($library))->apply($library->document('furnace-standing-pilot'), [
            'do' => 'param',
            'part' => 'service',
            'primitive' => 'lever',
            'key' => 'at',
            'value' => 'off',
        ]);
        $why = new Why(new HealthyRun(Compiler::compile($library->resolve($document)), 'cold', 3000));
        $chain = self::told($why->of('transformer.windings'));
        self::assertStringContainsString('is at "off"', end($chain));
        $why = new Why(new HealthyRun($this->plan('furnace-standing-pilot'), 'cold', 60_000));
        self::assertStringContainsString('is fed', $why->of('valve.coil')['text']);
        $this->expectException(EditError::class);
        $why->of('valve.moon');
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_every_safety_of_what_is_shipped_stops_the_fuel(string $name): void
    {
        $plan = $this->plan($name);
        $report = (new SafetyTest($plan, $plan->model->visits()[0]))->report();
        if ($plan->model->household()->cool !== []) {
            self::assertNull($report['fire_s'], 'it is summer');

            return;
        }
        self::assertNotNull($report['fire_s']);
        self::assertGreaterThan(1, count($report['safeties']));
        self::assertSame([], array_column(array_filter($report['safeties'], fn (array $s) => ! $s['stops']), 'words'));
    }

    public function test_a_limit_that_stops_nothing_is_told(): void
    {
        $library = new Library();
        $document = (new Edits($library))->apply($library->document('furnace-standing-pilot'), [
            'do' => 'land',
            'wire' => 'w07',
            'end' => 'a',
            'on' => 'fan-limit.L1',
        ]);
        $report = (new SafetyTest(Compiler::compile($library->resolve($document)), 'cold'))->report();
        self::assertSame([false, true], array_column($report['safeties'], 'stops'));
        self::assertSame(
            'Fan and limit: limit opens: the fuel goes on, 10 s later still.',
            $report['safeties'][0]['words'],
        );
        // a thermocouple takes its time: within 180 s (common practice, no source)
        self::assertGreaterThan(5, $report['safeties'][1]['after_s']);
    }

    public function test_where_nothing_burns_nothing_is_claimed(): void
    {
        $library = new Library();
        $document = (new Edits($library))->apply($library->document('furnace-80'), [
            'do' => 'remove',
            'wires' => ['w01'],
        ]);
        self::assertSame(
            ['fire_s' => null, 'safeties' => []],
            (new SafetyTest(Compiler::compile($library->resolve($document)), 'cold'))->report(),
        );
    }

    /**
     * @param array<string, mixed> $reason
     * @return list<string> the sentences, the outermost first
     */
    private static function told(array $reason): array
    {
        return [$reason['text'], ...array_merge([], ...array_map(self::told(...), $reason['because']))];
    }

    private function plan(string $name): Plan
    {
        return Compiler::compile((new Library())->model($name));
    }
}
