<?php

declare(strict_types=1);

namespace OddSpark\Tests\Wiring;

use OddSpark\Appliance\Library;
use OddSpark\Building\Edits;
use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Nets;
use PHPUnit\Framework\TestCase;

final class CircuitsTest extends TestCase
{
    public function test_the_circuits_of_a_standing_pilot_furnace_are_line_control_and_millivolts(): void
    {
        ['circuits' => $circuits, 'open' => $open] = $this->circuits('furnace-standing-pilot');
        self::assertSame(['line', 'control', 'millivolt'], array_column($circuits, 'class'));
        self::assertSame([], $open);
        self::assertSame(['transformer', 'blower'], array_column($circuits[0]['loads'], 'part'));
        self::assertSame(
            'From Transformer X1 through Thermostat to Gas valve: coil, home at Transformer X2.',
            $circuits[1]['loads'][0]['words'],
        );
        self::assertSame(['w12', 'w13', 'w14'], $circuits[1]['loads'][0]['wires']);
        self::assertSame(['valve'], array_column($circuits[2]['loads'], 'part'), 'the pilot magnet');
    }

    public function test_ways_that_prove_something_to_a_control_are_told_as_such(): void
    {
        $proves = array_filter(array_column($this->circuits('furnace-80')['circuits'][1]['loads'], 'proves', 'load'));
        self::assertSame('limit', $proves['board.limit_input']);
        self::assertSame('pressure', $proves['board.pressure_input']);
        self::assertArrayNotHasKey('valve.coil', $proves);
        self::assertContains(
            'sensing',
            array_column($this->circuits('oil-furnace')['circuits'], 'class'),
            'the loop of the cad cell',
        );
    }

    public function test_what_hangs_is_told_by_both_its_sides(): void
    {
        $library = new Library();
        $document = (new Edits($library))->apply($library->document('furnace-standing-pilot'), [
            'do' => 'remove',
            'wires' => ['w13'],
        ]);
        $open = Circuits::of(new Nets($library->draft($document)))['open'];
        self::assertSame(
            [
                'Gas valve: coil has no complete path from a supply and back: nothing is wired to Gas valve TH; Gas valve TR comes to Transformer X2.',
            ],
            array_column($open, 'words'),
        );
    }

    public function test_what_guards_a_valve_is_followed_through_transformers_relays_and_controls(): void
    {
        $of = function (string $model, string $load): array {
            return array_keys((new Guards(new Nets((new Library())->model($model))))->of($load));
        };
        self::assertContains('fan-limit.limit', $of('furnace-standing-pilot', 'valve.coil'), 'before the transformer');
        foreach (
            [
                'limit.contact',
                'rollout-l.contact',
                'rollout-r.contact',
                'pressure.contact',
                'service.contact',
            ] as $switch
        ) {
            self::assertContains($switch, $of('furnace-80', 'valve.coil'), 'by the inputs of the control');
        }
        self::assertContains('boiler.high.contact', $of('zones-hydronic', 'boiler.valve.main_coil'));
        self::assertContains(
            'panel.ends',
            $of('zones-hydronic', 'boiler.valve.main_coil'),
            'by the coil of the switching relay',
        );
        self::assertSame([], $of('furnace-80', 'valve.no-such'));
    }

    /** @return array<string, mixed> */
    private function circuits(string $model): array
    {
        return Circuits::of(new Nets((new Library())->model($model)));
    }
}
