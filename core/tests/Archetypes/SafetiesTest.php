<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every safety of every archetype is made to act while the burner burns, and the fuel stops. */
final class SafetiesTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string, callable(TestRig): mixed, float}> model, burner, what is done,
     *     seconds within which the fuel is off
     */
    public static function safeties(): iterable
    {
        yield '80 %: limit' => [
            'furnace-80',
            'burners.fire',
            fn (TestRig $s) => $s->put('exchanger.felt', 230)->put('exchanger.metal', 230),
            3,
        ];
        yield '80 %: rollout' => ['furnace-80', 'burners.fire', fn (TestRig $s) => $s->put('burners.front', 380), 3];
        yield '80 %: hose off' => ['furnace-80', 'burners.fire', fn (TestRig $s) => $s->set('hose.end', 'off'), 5];
        yield '80 %: gas shut' => ['furnace-80', 'burners.fire', fn (TestRig $s) => $s->set('cock.handle', 'shut'), 1];
        yield '80 %: door' => [
            'furnace-80',
            'burners.fire',
            fn (TestRig $s) => $s->set('door-switch.plunger', 'out'),
            1,
        ];
        yield '80 %: blower lead lifted, limit within some four to five minutes' => [
            'furnace-80',
            'burners.fire',
            fn (TestRig $s) => $s->lift('w36.a'),
            330,
        ];
        yield 'limit in R: limit' => [
            'furnace-80-limit-in-r',
            'furnace.burners.fire',
            fn (TestRig $s) => $s->put('furnace.exchanger.felt', 230)->put('furnace.exchanger.metal', 230),
            3,
        ];
        yield 'pilot: limit' => [
            'furnace-standing-pilot',
            'burners.fire',
            fn (TestRig $s) => $s->put('exchanger.felt', 230)->put('exchanger.metal', 230),
            2,
        ];
        yield 'pilot: pilot out' => [
            'furnace-standing-pilot',
            'burners.fire',
            fn (TestRig $s) => $s->set('cock.handle', 'shut')->run(180)->set('cock.handle', 'open'),
            60,
        ];
        yield 'pilot: blower lead lifted' => [
            'furnace-standing-pilot',
            'burners.fire',
            fn (TestRig $s) => $s->lift('w09.a'),
            330,
        ];
        yield 'package: limit' => [
            'package-direct-spark',
            'burners.fire',
            fn (TestRig $s) => $s->put('exchanger.felt', 230)->put('exchanger.metal', 230),
            3,
        ];
        yield 'package: rollout' => [
            'package-direct-spark',
            'burners.fire',
            fn (TestRig $s) => $s->put('burners.front', 380),
            3,
        ];
        yield 'package: hose off' => [
            'package-direct-spark',
            'burners.fire',
            fn (TestRig $s) => $s->set('hose.end', 'off'),
            5,
        ];
        yield 'package: rod wire off' => [
            'package-direct-spark',
            'burners.fire',
            fn (TestRig $s) => $s->lift('w30.a'),
            3,
        ];
        yield 'boiler: high limit' => [
            'boiler-hydronic',
            'burners.fire',
            fn (TestRig $s) => $s->put('block.water', 224),
            2,
        ];
        yield 'boiler: low water' => [
            'boiler-hydronic',
            'burners.fire',
            fn (TestRig $s) => $s->put('block.level', 0.3),
            2,
        ];
        yield 'boiler: operating aquastat' => [
            'boiler-hydronic',
            'burners.fire',
            fn (TestRig $s) => $s->put('block.water', 188),
            2,
        ];
        yield 'boiler: pilot out' => ['boiler-hydronic', 'burners.fire', fn (TestRig $s) => $s->lift('w24.a'), 3];
        yield 'zones: high limit of the boiler' => [
            'zones-hydronic',
            'boiler.burners.fire',
            fn (TestRig $s) => $s->put('boiler.block.water', 224),
            2,
        ];
        yield 'zones: low water' => [
            'zones-hydronic',
            'boiler.burners.fire',
            fn (TestRig $s) => $s->put('boiler.block.level', 0.3),
            2,
        ];
        yield '230 V: overheat' => [
            'boiler-simple-230',
            'burners.fire',
            fn (TestRig $s) => $s->put('block.water', 104),
            2,
        ];
        yield '230 V: air lost' => ['boiler-simple-230', 'burners.fire', fn (TestRig $s) => $s->lift('w12.a'), 8];
        yield '230 V: flame lead off' => ['boiler-simple-230', 'burners.fire', fn (TestRig $s) => $s->lift('w16.a'), 3];
        yield 'mid-position: overheat' => [
            'mid-position-230',
            'boiler.burners.fire',
            fn (TestRig $s) => $s->put('boiler.block.water', 104),
            2,
        ];
        yield 'oil: limit' => [
            'oil-furnace',
            'nozzle.fire',
            fn (TestRig $s) => $s->put('exchanger.felt', 230)->put('exchanger.metal', 230),
            2,
        ];
        yield 'oil: cell dark' => ['oil-furnace', 'nozzle.fire', fn (TestRig $s) => $s->lift('w19.a'), 3];
        yield 'oil: oil shut' => ['oil-furnace', 'nozzle.fire', fn (TestRig $s) => $s->set('tank.cock', 'shut'), 2];
    }

    #[DataProvider('safeties')]
    public function test_it_stops_the_fuel(string $model, string $burner, callable $act, float $within): void
    {
        $s = TestRig::of($model);
        if ($model === 'furnace-standing-pilot') {
            HealthyCycleTest::light($s);
        }
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit($burner), 3000), 'it burns first');
        $s->run(130);
        self::assertTrue($s->isLit($burner), 'it goes on burning by itself');
        $act($s);
        self::assertNotNull($s->until(fn (TestRig $s) => ! $s->isLit($burner), $within));
    }

    public function test_manual_resets_hold_until_they_are_pressed_and_their_cause_is_gone(): void
    {
        $s = TestRig::of('boiler-hydronic')->run(300);
        self::assertTrue($s->isLit());
        $s->put('block.level', 0.3)->run(5)->put('block.level', 1.0)->run(600);
        self::assertFalse($s->isLit(), 'the water is back, the cut-off stays open');
        $s->reset('cut-off.probe')->run(120);
        self::assertTrue($s->isLit());
        $s->put('block.level', 0.3)->run(5)->reset('cut-off.probe')->run(5);
        self::assertTrue($s->slot('cut-off.probe', 'latched'), 'pressed with the water low it opens again');
    }
}
