<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\DocumentError;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** What somebody left behind before this visit: jumpers, wires on the wrong terminal, spares of another rating. */
final class FoundTest extends TestCase
{
    private Bench $bench;

    /** @var array<string, mixed> */
    private BenchState $state;

    public function test_a_jumper_from_r_to_w_left_behind_heats_without_end_until_it_is_seen_and_taken_off(): void
    {
        $this->arrive('furnace-80', 'board:bridged');
        self::assertSame([], $this->state->jumpers, 'nobody has seen it yet');
        $this->do(0, 'set', ['part' => 'thermostat', 'lever' => 'mode', 'to' => 'off']);
        $this->do(0, 'door', ['to' => 'open']);
        $this->do(0, 'hold', ['to' => 'held']);
        $this->do(300, 'wait');
        self::assertTrue($this->state->slots['burners.fire']['lit'], 'no call from the thermostat, and yet it burns');
        $this->do(300, 'leads', ['red' => 'board.W', 'black' => 'board.C']);
        self::assertEqualsWithDelta(27, (float) $this->do(302, 'read')->reading?->value, 4);
        self::assertSame(
            'from Furnace control R to Furnace control W',
            $this->do(303, 'look', ['part' => 'board'])->seen['jumper'],
        );
        self::assertSame([['board.R', 'board.W']], $this->state->jumpers);
        $this->do(304, 'unjump', ['from' => 'board.R', 'to' => 'board.W']);
        $this->do(330, 'wait');
        self::assertFalse($this->state->slots['burners.fire']['lit']);
        self::assertNotContains('jumper-left', $this->do(331, 'hand_back')->dangers);
    }

    public function test_a_jumper_that_nobody_saw_is_still_there_at_hand_back(): void
    {
        $this->arrive('furnace-80', 'limit:bridged');
        self::assertContains('jumper-left', $this->do(10, 'hand_back')->dangers);
        $this->arrive('furnace-80', 'limit:bridged');
        $this->do(10, 'mend', ['part' => 'limit', 'how' => 'replace']);
        self::assertSame(
            [['limit.a', 'limit.b']],
            $this->state->earlier,
            'a new limit under an old jumper is bridged still',
        );
    }

    public function test_a_wire_on_the_wrong_terminal_carries_there_says_so_on_looking_and_is_put_right(): void
    {
        $this->arrive('furnace-80', 'w36:elsewhere');
        $this->do(0, 'door', ['to' => 'open']);
        self::assertStringContainsString(
            'This end is on Blower BLK; the drawing has it on Blower RED',
            $this->do(1, 'look', ['part' => 'w36'])->seen['condition'],
        );
        $ohms = function (float $at): float {
            $this->do($at, 'dial', ['mode' => 'ohm']);
            $this->do($at, 'leads', ['red' => 'w36.a', 'black' => 'blower.BLK']);

            return (float) $this->do($at + 5, 'read')->reading?->value;
        };
        self::assertLessThan(0.5, $ohms(2), 'it ends there');
        $this->do(8, 'lift', ['end' => 'w36.b']);
        self::assertNotEqualsWithDelta(0.0, $ohms(9), 0.5, 'lifted, it does not');
        $this->do(15, 'land', ['end' => 'w36.b']);
        self::assertLessThan(0.5, $ohms(16), 'landed where it was');
        $this->do(22, 'mend', ['part' => 'w36', 'how' => 'set']);
        self::assertNotEqualsWithDelta(0.0, $ohms(23), 0.5);
        self::assertSame([], $this->state->earlier);
    }

    public function test_two_wires_swapped_are_seen_on_either_and_set_right_together(): void
    {
        $this->arrive('furnace-80', 'w36:swapped');
        $this->do(0, 'door', ['to' => 'open']);
        self::assertSame(
            'This end is on Blower BLK; the drawing has it on Blower RED.',
            $this->do(1, 'look', ['part' => 'w36'])->seen['condition'],
        );
        self::assertSame(
            'This end is on Blower RED; the drawing has it on Blower BLK.',
            $this->do(2, 'look', ['part' => 'w37'])->seen['condition'],
        );
        $ohms = function (float $at, string $from, string $to): float {
            $this->do($at, 'dial', ['mode' => 'ohm']);
            $this->do($at, 'leads', ['red' => $from, 'black' => $to]);

            return $this->do($at + 5, 'read')->reading->value ?? INF;
        };
        self::assertLessThan(0.5, $ohms(3, 'board.HEAT', 'blower.BLK'));
        self::assertLessThan(0.5, $ohms(10, 'board.COOL', 'blower.RED'));
        $this->do(17, 'mend', ['part' => 'w36', 'how' => 'set']);
        self::assertLessThan(0.5, $ohms(18, 'board.HEAT', 'blower.RED'));
        self::assertLessThan(0.5, $ohms(25, 'board.COOL', 'blower.BLK'));
        self::assertGreaterThan(0.5, $ohms(32, 'board.HEAT', 'blower.BLK'));
    }

    public function test_a_bridged_end_switch_calls_the_boiler_with_every_room_warm(): void
    {
        $lamp = function (string $fault): string {
            $this->arrive('zones-hydronic', $fault);
            foreach (['thermostat-1', 'thermostat-2', 'thermostat-3'] as $stat) {
                self::assertNull($this->do(0, 'set', ['part' => $stat, 'lever' => 'set', 'to' => 45])->refused);
            }
            $this->do(600, 'wait');

            return $this->bench->machine()->shows($this->state, $this->bench->plan->percepts['panel.lamp']['of']);
        };
        self::assertSame('drawn in', $lamp('zv1:bridged'));
        self::assertSame('', $lamp('healthy'));
    }

    public function test_a_spare_of_another_rating_is_read_off_it_and_acts_by_its_own_figures(): void
    {
        $this->arrive('furnace-80', 'limit:wrong-spare');
        $this->do(0, 'door', ['to' => 'open']);
        self::assertStringNotContainsString('140', $this->do(1, 'look', ['part' => 'limit'])->seen['condition']);
        $this->do(1, 'take', ['part' => 'limit', 'to' => 'off']);
        self::assertStringContainsString('stamped 140', $this->do(1, 'look', ['part' => 'limit'])->seen['condition']);
        $made = fn (TestRig $stand) => $stand->put('exchanger.felt', 150)->slot('limit.disc', 'made');
        self::assertFalse($made(TestRig::withFault('furnace-80', 'limit:wrong-spare')));
        self::assertTrue($made(TestRig::of('furnace-80')));
        $this->do(2, 'spare', ['part' => 'limit', 'spare' => '200 °F']);
        self::assertSame(
            TestRig::plan('furnace-80')->model->kindOf('limit')?->look,
            $this->do(3, 'look', ['part' => 'limit'])->seen['condition'],
        );
    }

    public function test_what_was_found_must_name_places_of_the_model(): void
    {
        foreach ([
            ['part' => 'service', 'mode' => 'bridged', 'jumper' => ['service.line', 'service.nowhere'], 'weight' => 1],
            ['part' => 'w0', 'mode' => 'elsewhere', 'end' => 'w9.a', 'on' => 'service.line', 'weight' => 1],
            ['part' => 'service', 'mode' => 'elsewhere', 'end' => 'w0.a', 'on' => 'service.line', 'weight' => 1],
            ['part' => 'w0', 'mode' => 'swapped', 'swapped' => ['w0.a', 'w7.b'], 'weight' => 1],
        ] as $found) {
            try {
                Fixtures::small(
                    ['service' => 'service-switch', 'panel' => 'supply'],
                    [['panel.L', 'service.line']],
                    [],
                    ['found' => [$found]],
                );
                self::fail('Taken: '.json_encode($found));
            } catch (DocumentError $e) {
                self::assertStringStartsWith('/found/0', $e->pointer);
            }
        }
    }

    private function arrive(string $model, string $fault): void
    {
        $plan = TestRig::plan($model);
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory(), 1);
        $this->state = $this->bench->arrive('cold')->state;
        $this->state = $this->bench->resume($this->state);
    }

    /** @param array<string, mixed> $with */
    private function do(float $s, string $name, array $with = []): Outcome
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($s, $name, $with));

        return $outcome;
    }
}
