<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** A sound appliance with a wrong drawing and a wrong tag, and a cord that was made up crossed. */
final class AsBuiltTest extends TestCase
{
    public function test_the_circuit_goes_by_what_was_built_and_every_name_by_the_drawing(): void
    {
        $model = Fixtures::small(
            ['panel' => 'supply', 'service' => 'service-switch', 'breaker' => 'breaker'],
            [['panel.L', 'breaker.line'], ['breaker.load', 'service.load']],
            [],
            ['as_built' => [['end' => 'w1.b', 'on' => 'service.line'], ['wire' => 'w1', 'tag' => '7']]],
        );
        $stand = TestRig::ofModel($model)->run(1);
        self::assertEqualsWithDelta(121, $stand->volts('service.line', 'panel.N'), 1);
        self::assertEqualsWithDelta(
            121,
            $stand->volts('service.load', 'panel.N'),
            1,
            'the switch is on: the load side is fed through it',
        );
        self::assertLessThan(
            1,
            $stand->set('service.lever', 'off')->run(1)->volts('service.load', 'panel.N'),
            'drawn on the load side, it is in truth behind the switch',
        );
        self::assertSame('red wire end at Service load', $model->placeName('w1.b'));
    }

    public function test_a_look_tells_and_a_wrong_drawing_is_no_fault(): void
    {
        $library = new Library();
        $model = $library->resolve(
            ['as_built' => [['end' => 'w36.b', 'on' => 'blower.BLK'], ['wire' => 'w36', 'tag' => '7']]] +
                $library->document('furnace-80'),
        );
        $bench = new Bench(Compiler::compile($model), FaultSet::of($model)->get('healthy'), new Memory(), 1);
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        [$state] = $bench->do($state, Fixtures::act(1, 'door', ['to' => 'open']));
        [$state, $outcome] = $bench->do($state, Fixtures::act(1, 'look', ['part' => 'w36']));
        self::assertSame('This end is on Blower BLK; the drawing has it on Blower RED.', $outcome->seen['condition']);
        self::assertSame('7', $outcome->seen['tag']);
        self::assertFalse($bench->isFaulty($state));
    }

    public function test_what_was_built_must_be_there(): void
    {
        foreach (
            [
                ['end' => 'w7.a', 'on' => 'service.line'],
                ['end' => 'w0.b', 'on' => 'service.nowhere'],
                ['wire' => 'w7', 'tag' => '1'],
            ] as $built
        ) {
            try {
                Fixtures::small(
                    ['service' => 'service-switch', 'panel' => 'supply'],
                    [['panel.L', 'service.line']],
                    [],
                    ['as_built' => [$built]],
                );
                self::fail('Taken: '.json_encode($built));
            } catch (DocumentError $e) {
                self::assertStringStartsWith('/as_built/0', $e->pointer);
            }
        }
    }

    public function test_a_cord_made_up_crossed_feeds_the_furnace_and_loses_its_flame(): void
    {
        $sound = TestRig::of('furnace-80-limit-in-r')->run(300);
        self::assertTrue($sound->isLit('furnace.burners.fire'));
        self::assertLessThan(3, $sound->volts('furnace.board.N', 'furnace.screw.sheet'));

        $crossed = TestRig::withFault('furnace-80-limit-in-r', 'outlet:swapped');
        self::assertNotNull(
            $crossed->until(fn (TestRig $s) => $s->isLit('furnace.burners.fire'), 200),
            'gas and fire come',
        );
        self::assertEqualsWithDelta(120, $crossed->volts('furnace.board.N', 'furnace.screw.sheet'), 3);
        self::assertNotNull(
            $crossed->until(fn (TestRig $s) => ! $s->isLit('furnace.burners.fire'), 15),
            'the flame is not proved',
        );

        $pulled = $sound->set('outlet.plug', 'out')->run(1);
        self::assertLessThan(0.5, $pulled->volts('furnace.l-nut.in', 'furnace.screw.sheet'));
    }
}
