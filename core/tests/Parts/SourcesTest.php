<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Plan;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** What drives a circuit, and what protects it: split phase, thermopiles, charged capacitors, protectors. */
final class SourcesTest extends TestCase
{
    private Plan $plan;

    private Machine $machine;

    /** @var array<string, mixed> */
    private MachineState $state;

    public function test_split_phase_gives_120_to_neutral_and_240_between_legs_and_loses_its_neutral(): void
    {
        $parts = [
            'panel' => 'supply-240',
            'small' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 300, 'hot_ohm' => 300]]],
            'large' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 30, 'hot_ohm' => 30]]],
        ];
        $wires = [['panel.L1', 'small.1'], ['panel.N', 'small.2'], ['panel.L2', 'large.1'], ['panel.N', 'large.2']];
        $this->wire($parts, $wires);
        self::assertEqualsWithDelta(242, $this->volts('panel.L1', 'panel.L2'), 0.8);
        self::assertEqualsWithDelta(121, $this->volts('small.1', 'small.2'), 0.8);
        // by hand: with the neutral gone 300 Ω and 30 Ω share 242 V
        $this->wire($parts, $wires, ['panel.source.neutral_open' => true]);
        self::assertEqualsWithDelta(242 * 300 / 330, $this->volts('small.1', 'small.2'), 1.0);
        self::assertEqualsWithDelta(242 * 30 / 330, $this->volts('large.1', 'large.2'), 1.0);
    }

    public function test_230_volts_at_50_hertz(): void
    {
        $this->wire(
            ['unit' => 'supply-230'],
            [],
            more: ['supply' => ['hertz' => 50, 'volts' => 230, 'region' => 'EU']],
        );
        self::assertEqualsWithDelta(236, $this->volts('unit.L', 'unit.N'), 1.0);
        self::assertSame('50.0 Hz', $this->show(Mode::Hertz, 'unit.L', 'unit.N'));
        self::assertSame('0.0 Hz', $this->show(Mode::Hertz, 'unit.N', 'unit.PE'));
    }

    public function test_a_heated_thermopile_gives_millivolts_and_makes_nonsense_of_ohms(): void
    {
        $this->pile(1150);
        self::assertSame(
            'OL mV DC',
            $this->show(Mode::Millivolts, 'pile.plus', 'pile.minus'),
            '700 mV is above the range',
        );
        self::assertSame('0.700 V DC', $this->show(Mode::VoltsDc, 'pile.plus', 'pile.minus'));
        self::assertStringStartsWith('-', $this->show(Mode::VoltsDc, 'pile.minus', 'pile.plus'));
        self::assertSame('0.000 V AC', $this->show(Mode::VoltsAc, 'pile.plus', 'pile.minus'));
        $cold = 3.2;
        $one = Meter::exact(Mode::Ohms, $this->solution(), $this->node('pile.plus'), $this->node('pile.minus'));
        $other = Meter::exact(Mode::Ohms, $this->solution(), $this->node('pile.minus'), $this->node('pile.plus'));
        self::assertGreaterThan(100 * $cold, $one, 'its own volts read as ohms');
        self::assertLessThan($cold, $other, 'and with the leads exchanged the other way');
        $this->pile(80);
        self::assertSame('3.2 Ω', $this->show(Mode::Ohms, 'pile.plus', 'pile.minus'));
    }

    public function test_a_thermocouple_follows_the_heat_of_its_tip_in_steps_and_opens_when_hot_if_it_does(): void
    {
        $volts = [];
        foreach ([80, 400, 750, 1150] as $f) {
            $this->pile($f, 'thermocouple', ['core', 'sheath']);
            $volts[] = 1000 * $this->solution()->dcVolts($this->node('pile.core'), $this->node('pile.sheath'));
        }
        self::assertSame(0.0, round($volts[0], 6));
        self::assertEqualsWithDelta(30 * 320 / 1070, $volts[1], 30 / 16, 'within a step of proportion');
        self::assertEqualsWithDelta(30 * 670 / 1070, $volts[2], 30 / 16);
        self::assertEqualsWithDelta(30.0, $volts[3], 1e-6);
        $this->pile(1150, 'thermocouple', ['core', 'sheath'], ['pile.junction.opens_above_f' => 700]);
        self::assertSame(0.0, $this->solution()->dcVolts($this->node('pile.core'), $this->node('pile.sheath')));
    }

    public function test_a_capacitor_cut_off_holds_its_crest_until_something_lets_it_go(): void
    {
        $this->wire(['panel' => 'supply', 'can' => 'capacitor'], [['panel.L', 'can.1'], ['panel.N', 'can.2']]);
        self::assertEqualsWithDelta(121, $this->volts('can.1', 'can.2'), 1.0);
        $this->state = $this->state->withSlots(['w0.body' => ['a' => false]]);
        $this->state = $this->machine->settle($this->state);
        self::assertEqualsWithDelta(
            170,
            abs($this->solution()->dcVolts($this->node('can.1'), $this->node('can.2'))),
            6,
        );
        self::assertSame('⚠ LIVE', $this->show(Mode::Microfarads, 'can.1', 'can.2'));
        // a voltmeter of 10 MΩ beside its own 50 MΩ: 8.3 MΩ × 7.5 µF is 62.5 s, so 37 % are left then
        $this->state = $this->state->with(joined: [[$this->node('can.1'), $this->node('can.2'), 1e-7]]);
        $this->state = $this->machine->advance($this->machine->settle($this->state), $this->state->tick + 62_500);
        self::assertEqualsWithDelta(
            170 * exp(-1),
            abs($this->solution()->dcVolts($this->node('can.1'), $this->node('can.2'))),
            170 * 0.1,
        );
        // 3 kΩ are enough to let it go at once, for a person
        $this->state = $this->state->with(joined: [[$this->node('can.1'), $this->node('can.2'), 1 / 3000]]);
        $this->state = $this->machine->settle($this->state);
        $this->state = $this->state->with(joined: []);
        $this->state = $this->machine->settle($this->state);
        self::assertSame('7.50 µF', $this->show(Mode::Microfarads, 'can.1', 'can.2'));
        // capacitor under load, derived: µF = 2652 A / V at 60 Hz
        self::assertEqualsWithDelta(2652 * 120 * 2 * M_PI * 60 * 7.5e-6 / 120, 7.5, 0.01);
    }

    public function test_microfarads_in_circuit_are_read_through_what_lies_beside(): void
    {
        $this->wire(
            ['can' => 'capacitor', 'load' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 58]]]],
            [['can.1', 'load.1'], ['can.2', 'load.2']],
        );
        self::assertSame('OL µF', $this->show(Mode::Microfarads, 'can.1', 'can.2'), '58 Ω beside it');
        $this->state = $this->state->withSlots(['w0.body' => ['a' => false]]);
        self::assertSame('7.50 µF', $this->show(Mode::Microfarads, 'can.1', 'can.2'));
    }

    public function test_a_nitride_igniter_rises_with_its_heat_and_a_carbide_one_falls(): void
    {
        foreach (['igniter-nitride' => [17.0, 66.0], 'igniter' => [58.0, 30.0]] as $kind => [$cold, $hot]) {
            $this->wire(['panel' => 'supply', 'hot' => $kind], [['panel.L', 'hot.1'], ['panel.N', 'hot.2']]);
            $amps = fn () => $this->volts('w0.a', 'w0.b') / $this->copper();
            self::assertEqualsWithDelta(121 / $cold, $amps(), 121 / $cold * 0.03, $kind);
            $this->state = $this->machine->advance($this->state, 40_000);
            self::assertSame('bright', $this->machine->shows($this->state, 'hot.element'));
            self::assertEqualsWithDelta(121 / $hot, $amps(), 121 / $hot * 0.03, $kind);
        }
    }

    public function test_a_transformer_that_is_shorted_outside_opens_its_protector_and_comes_back_cool(): void
    {
        $this->wire(
            [
                'panel' => 'supply',
                'trafo' => 'transformer-120-24',
                'short' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 0.4, 'hot_ohm' => 0.4]]],
            ],
            [['panel.L', 'trafo.H1'], ['panel.N', 'trafo.H2'], ['trafo.X1', 'short.1'], ['trafo.X2', 'short.2']],
        );
        $opened = null;
        $this->state = $this->machine->advance($this->state, 3_600_000, function (MachineState $s) use (
            &$opened,
        ): bool {
            $opened = $s->slots['trafo.limit']['closed'] ? null : $s->tick;

            return $opened !== null;
        });
        self::assertNotNull($opened);
        // by hand: ten times its rated amps, so towards the 900 °F beyond which nothing goes: 420 s × ln(810 / 600)
        self::assertEqualsWithDelta(126_000, $opened, 1000);
        self::assertSame(0.0, round($this->volts('trafo.X1', 'trafo.X2'), 3));
        $this->state = $this->machine->advance(
            $this->state,
            $opened + 600_000,
            fn (MachineState $s) => $s->slots['trafo.limit']['closed'],
        );
        self::assertTrue($this->state->slots['trafo.limit']['closed'], 'it cools and closes');
    }

    public function test_a_protector_at_its_rated_amps_never_opens_and_as_a_link_never_closes(): void
    {
        $rated = [
            'panel' => 'supply',
            'trafo' => 'transformer-120-24',
            'load' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 18, 'hot_ohm' => 18]]],
        ];
        $wires = [['panel.L', 'trafo.H1'], ['panel.N', 'trafo.H2'], ['trafo.X1', 'load.1'], ['trafo.X2', 'load.2']];
        $this->wire($rated, $wires);
        $this->state = $this->machine->advance($this->state, 36_000_000);
        self::assertTrue($this->state->slots['trafo.limit']['closed'], '24 V over 18 Ω is 32 VA of its 40');
        $link = ['trafo.limit.closes_at_f' => null, 'load.element.cold_ohm' => 0.4, 'load.element.hot_ohm' => 0.4];
        $this->wire($rated, $wires, $link);
        $this->state = $this->machine->advance($this->state, 36_000_000);
        self::assertFalse($this->state->slots['trafo.limit']['closed']);
    }

    /**
     * @param array<string, string|array<string, mixed>> $parts
     * @param list<array{0: string, 1: string, 2?: array<string, mixed>}> $wires
     * @param array<string, mixed> $set
     * @param array<string, array<string, mixed>> $process
     * @param array<string, mixed> $more
     */
    private function wire(array $parts, array $wires, array $set = [], array $process = [], array $more = []): void
    {
        $this->plan = Compiler::compile(Fixtures::small($parts, $wires, $process, $more));
        $this->machine = new Machine($this->plan, $set, new Memory());
        $this->state = $this->machine->settle($this->machine->initial());
    }

    /**
     * @param array{string, string} $poles
     * @param array<string, mixed> $set
     */
    private function pile(
        float $tip,
        string $kind = 'thermopile',
        array $poles = ['plus', 'minus'],
        array $set = [],
    ): void {
        $this->wire(
            ['pile' => ['kind' => $kind, 'links' => ['tip' => 'pilot']], 'screw' => 'chassis'],
            [["pile.$poles[1]", 'screw.screw']],
            $set,
            [
                'pilot' => ['type' => 'still', 'value' => $tip],
            ],
        );
    }

    private function copper(): float
    {
        return $this->plan->primitives['w0.body']['spec']['ohm'];
    }

    private function node(string $place): int
    {
        return $this->plan->places[$place];
    }

    private function solution(): \OddSpark\Circuit\Solution
    {
        return $this->machine->solution($this->state);
    }

    private function volts(string $a, string $b): float
    {
        return $this->solution()->acVolts($this->node($a), $this->node($b));
    }

    private function show(Mode $mode, string $red, string $black): string
    {
        return Meter::show(
            $mode,
            Meter::exact($mode, $this->solution(), $this->node($red), $this->node($black)),
        )->text();
    }

    public function test_a_supply_follows_the_volts_of_its_model(): void
    {
        $library = new \OddSpark\Appliance\Library();
        $of = [
            'furnace-80' => [108, 'panel.L', 121 * 0.9],
            'package-direct-spark' => [208, 'panel.L1', 121 * 208 / 240],
        ];
        foreach ($of as $name => [$volts, $place, $shows]) {
            $document = $library->document($name);
            $document['supply']['volts'] = $volts;
            $rig = \OddSpark\Tests\TestRig::ofModel($library->resolve($document))->run(5);
            self::assertEqualsWithDelta($shows, $rig->volts($place, 'screw.screw'), 0.5, $name);
        }
    }
}
