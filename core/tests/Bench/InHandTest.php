<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Parts and fuses taken off and measured in the hand, put back, compared with new ones. */
final class InHandTest extends TestCase
{
    use AtTheBench;

    /**
     * @return iterable<string, array{string, string, string, float}> model, fault, what the element looks like, ohms
     */
    public static function fuses(): iterable
    {
        yield 'blown by nothing' => ['furnace-80', 'fuse:blown', 'parted', INF];
        yield 'blown by a short' => ['furnace-80', 'w17:rubs', 'parted', INF];
        yield 'whole, with an open limit behind it' => ['furnace-80', 'limit:stuck-open', 'whole', 0.02];
    }

    #[DataProvider('fuses')]
    public function test_a_fuse_in_the_hand_tells_of_itself_alone(
        string $model,
        string $fault,
        string $looks,
        float $ohms,
    ): void {
        $this->arrive($model, $fault);
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertArrayNotHasKey('element', $this->do('look', ['part' => 'fuse'])->seen, 'hidden in its clips');
        self::assertNotNull($this->do('ohm_fuse', ['part' => 'fuse'])->refused, 'it sits in its clips');
        self::assertNull($this->do('fuse', ['part' => 'fuse', 'amps' => 0])->refused);
        self::assertSame($looks, $this->do('look', ['part' => 'fuse'])->seen['element']);
        $read = $this->do('ohm_fuse', ['part' => 'fuse'])->reading->value ?? INF;
        is_infinite($ohms) ? self::assertInfinite($read) : self::assertEqualsWithDelta($ohms, $read, 0.3);
        self::assertGreaterThan(50, $this->read('ohm', 'fuse.a', 'fuse.b'), 'its clips, with the circuit behind them');
    }

    public function test_the_same_fuse_put_back_mends_nothing_and_a_new_one_does(): void
    {
        $this->arrive('furnace-80', 'fuse:blown');
        $this->do('door', ['to' => 'open']);
        $this->do('fuse', ['part' => 'fuse', 'amps' => 0]);
        self::assertContains('part-off', $this->do('hand_back')->dangers);
        $this->do('take', ['part' => 'fuse', 'to' => 'on']);
        self::assertTrue($this->bench->isFaulty($this->state));
        self::assertFalse($this->state->slots['fuse.element']['whole']);
        $this->do('fuse', ['part' => 'fuse', 'amps' => 3]);
        self::assertFalse($this->bench->isFaulty($this->state));
        self::assertTrue($this->state->slots['fuse.element']['whole']);
        self::assertSame([], $this->state->off);
    }

    public function test_a_sound_fuse_put_back_works_again(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        $this->do('take', ['part' => 'fuse', 'to' => 'off']);
        $this->wait(5);
        self::assertSame('dark', $this->state->slots['board.control']['state']);
        $this->do('take', ['part' => 'fuse', 'to' => 'on']);
        $this->wait(5);
        self::assertNotSame('dark', $this->state->slots['board.control']['state']);
        self::assertSame([], $this->state->off);
    }

    public function test_the_fuse_of_a_spur_is_drawn_and_measured(): void
    {
        $this->arrive('boiler-simple-230', 'spur:blown');
        self::assertNull($this->do('fuse', ['part' => 'spur', 'amps' => 0])->refused);
        self::assertInfinite($this->do('ohm_fuse', ['part' => 'spur'])->reading->value ?? INF);
        $this->do('fuse', ['part' => 'spur', 'amps' => 3]);
        self::assertFalse($this->bench->isFaulty($this->state));
        $this->arrive('boiler-simple-230');
        $this->do('take', ['part' => 'spur', 'to' => 'off']);
        self::assertEqualsWithDelta(0.1, (float) $this->do('ohm_fuse', ['part' => 'spur'])->reading?->value, 0.3);
        $this->wait(2);
        self::assertLessThan(1, $this->read('vlz', 'spur.L', 'spur.N'), 'dead behind it');
        $this->do('take', ['part' => 'spur', 'to' => 'on']);
        self::assertGreaterThan(200, $this->read('vac', 'spur.L', 'spur.N'));
    }

    public function test_a_limit_in_the_hand_opens_over_a_flame_and_closes_as_it_cools(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertNotNull($this->do('warm', ['part' => 'limit', 'to' => 'hot'])->refused, 'it sits in the furnace');
        self::assertNull($this->do('take', ['part' => 'limit', 'to' => 'off'])->refused);
        self::assertLessThan(1, $this->read('ohm', 'limit.a', 'limit.b'));
        $this->do('warm', ['part' => 'limit', 'to' => 'hot']);
        self::assertInfinite($this->read('ohm', 'limit.a', 'limit.b'));
        $this->do('warm', ['part' => 'limit', 'to' => 'cool']);
        self::assertLessThan(1, $this->read('ohm', 'limit.a', 'limit.b'));
        $this->do('take', ['part' => 'limit', 'to' => 'on']);
        self::assertNull($this->state->slots['limit.disc']['away'] ?? null);
        self::assertNotContains('wire-lifted', $this->do('hand_back')->dangers);
    }

    public function test_a_limit_that_is_stuck_closed_is_found_out_in_the_hand(): void
    {
        $this->arrive('furnace-80', 'limit:stuck-closed');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('take', ['part' => 'limit', 'to' => 'off']);
        $this->do('warm', ['part' => 'limit', 'to' => 'hot']);
        self::assertLessThan(1, $this->read('ohm', 'limit.a', 'limit.b'));
    }

    public function test_wires_come_off_with_a_part_and_go_on_with_the_new_one(): void
    {
        $this->arrive('furnace-80', 'igniter:cracked');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        self::assertContains('live-work', $this->do('take', ['part' => 'board', 'to' => 'off'])->dangers);
        $this->arrive('furnace-80', 'igniter:cracked');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('lift', ['end' => 'w30.b']);
        self::assertSame([], $this->do('take', ['part' => 'igniter', 'to' => 'off'])->dangers);
        self::assertSame(['w31.b'], $this->state->off['igniter'], 'what was lifted before stays so');
        self::assertStringContainsString('put it back', (string) $this->do('land', ['end' => 'w31.b'])->refused);
        self::assertInfinite($this->read('ohm', 'igniter.1', 'igniter.2'));
        $new = ['part' => 'igniter', 'red' => 'igniter.1', 'black' => 'igniter.2'];
        $spare = $this->do('ohm_spare', $new)->reading->value ?? INF;
        self::assertGreaterThan(20, $spare);
        self::assertLessThan(200, $spare, 'a new one, before it goes in');
        $this->do('mend', ['part' => 'igniter', 'how' => 'replace']);
        self::assertSame([], $this->state->off);
        self::assertTrue($this->state->isLanded('w31.b'));
        self::assertFalse($this->state->isLanded('w30.b'));
    }

    public function test_a_gas_part_opened_with_the_gas_on_is_a_danger_and_with_the_cock_shut_none(): void
    {
        $this->arrive('furnace-80', 'valve:coil-open');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertSame(['gas-opened'], $this->do('take', ['part' => 'valve', 'to' => 'off'])->dangers);
        $this->arrive('furnace-80', 'valve:coil-open');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut']);
        $this->wait(5);
        self::assertSame([], $this->do('take', ['part' => 'valve', 'to' => 'off'])->dangers);
    }

    public function test_a_capacitor_is_bled_over_a_resistor_and_not_with_a_blade(): void
    {
        foreach (['resistor' => [], 'blade' => ['shorted-capacitor']] as $over => $danger) {
            $this->arrive('furnace-80', 'blower:open');
            $this->do('door', ['to' => 'open']);
            self::assertNotNull($this->do('bleed', ['part' => 'limit', 'over' => $over])->refused);
            $this->state = $this->state->withSlots(['capacitor.plates' => ['charge' => 160.0, 'tau' => 1e6]]);
            self::assertSame($danger, $this->do('bleed', ['part' => 'capacitor', 'over' => $over])->dangers);
            self::assertSame(0.0, $this->state->slots['capacitor.plates']['charge']);
            self::assertNotContains(
                'charged-capacitor',
                $this->do('take', ['part' => 'capacitor', 'to' => 'off'])->dangers,
            );
        }
    }

    public function test_an_igniter_that_is_knocked_is_broken_and_one_that_is_touched_is_told_of(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->wait(600);
        self::assertSame(['igniter-touched'], $this->do('feel', ['part' => 'igniter'])->dangers);
        self::assertFalse($this->bench->isFaulty($this->state));
        self::assertSame(['igniter-knocked'], $this->do('tap', ['part' => 'igniter'])->dangers);
        self::assertSame(['igniter'], $this->bench->spoilt($this->state));
        self::assertSame([], $this->do('tap', ['part' => 'limit'])->dangers);
        $this->do('mend', ['part' => 'igniter', 'how' => 'replace']);
        self::assertFalse($this->bench->isFaulty($this->state));
    }

    public function test_what_stays_where_it_is_is_not_taken_off(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        foreach (['exchanger', 'panel', 'screw'] as $part) {
            self::assertNotNull($this->do('take', ['part' => $part, 'to' => 'off'])->refused, $part);
        }
        self::assertNotNull($this->do('take', ['part' => 'limit', 'to' => 'on'])->refused, 'it sits there');
    }
}
