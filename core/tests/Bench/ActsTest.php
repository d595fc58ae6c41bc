<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Wording;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** What hands can do beside measuring: each act with its consequence, its danger and its refusal. */
final class ActsTest extends TestCase
{
    use ActsAtTheBench;

    public function test_a_jumper_round_an_open_limit_lets_the_sequence_go_on_and_is_told_as_unsafe(): void
    {
        $this->arrive('furnace-80', 'limit:stuck-open');
        self::assertSame(['safety-jumpered'], $this->do(10, 'jump', ['from' => 'limit.a', 'to' => 'limit.b'])->dangers);
        $this->do(120, 'wait');
        self::assertTrue($this->state->slots['burners.fire']['lit']);
        self::assertSame('from Limit a to Limit b', $this->do(121, 'look', ['part' => 'limit'])->seen['jumper']);
        self::assertContains('jumper-left', $this->do(122, 'hand_back')->dangers);
        $this->do(130, 'unjump', ['from' => 'limit.b', 'to' => 'limit.a']);
        $this->do(135, 'wait');
        self::assertFalse($this->state->slots['burners.fire']['lit']);
        self::assertStringContainsString(
            'no jumper',
            (string) $this->do(136, 'unjump', ['from' => 'limit.a', 'to' => 'limit.b'])->refused,
        );
        self::assertStringContainsString(
            'join nothing',
            (string) $this->do(137, 'jump', ['from' => 'limit.a', 'to' => 'limit.a'])->refused,
        );
    }

    public function test_weak_batteries_light_the_display_and_move_no_contact_until_fresh_ones_are_put_in(): void
    {
        $this->arrive('oil-furnace', 'thermostat:cells-weak');
        self::assertSame(
            'display lit, calling for heat',
            $this->do(1, 'look', ['part' => 'thermostat'])->seen['thermostat'],
        );
        $this->do(2, 'dial', ['mode' => 'vdc']);
        $this->do(2, 'leads', ['red' => 'thermostat.+', 'black' => 'thermostat.-']);
        self::assertEqualsWithDelta(2.0, (float) $this->do(6, 'read')->reading?->value, 0.05);
        self::assertNotNull($this->do(7, 'batteries', ['part' => 'motor'])->refused);
        self::assertSame('It has no batteries.', $this->do(8, 'batteries', ['part' => 'w21'])->refused);
        $this->do(9, 'batteries', ['part' => 'thermostat']);
        self::assertEqualsWithDelta(3.1, (float) $this->do(14, 'read')->reading?->value, 0.05);
        self::assertSame(
            'display lit, calling for heat',
            $this->do(15, 'look', ['part' => 'thermostat'])->seen['thermostat'],
        );
        $this->do(120, 'wait');
        self::assertTrue($this->state->slots['nozzle.fire']['lit']);
        $this->arrive('oil-furnace', 'thermostat:cells-flat');
        self::assertSame('blank display', $this->do(1, 'look', ['part' => 'thermostat'])->seen['thermostat']);
    }

    public function test_a_shorted_module_takes_the_transformer_along_and_both_must_be_replaced(): void
    {
        $volts = fn (): float => $this->bench
            ->machine()
            ->solution($this->state)
            ->acVolts($this->bench->plan->places['transformer.X1'], $this->bench->plan->places['transformer.X2']);
        $off = ['part' => 'breaker', 'lever' => 'handle', 'to' => 'off'];
        $this->arrive('boiler-hydronic', 'module:shorted');
        self::assertFalse(
            $this->state->slots['transformer.limit']['closed'],
            'its thermal link has opened, and it does not close again',
        );
        $this->do(10, 'set', $off);
        $this->do(20, 'mend', ['part' => 'transformer', 'how' => 'replace']);
        $this->do(30, 'set', ['to' => 'on'] + $off);
        self::assertTrue($this->state->slots['transformer.limit']['closed']);
        $this->do(1800, 'wait');
        self::assertFalse($this->state->slots['transformer.limit']['closed'], 'the new one goes the same way');
        $this->do(1810, 'set', $off);
        $this->do(1820, 'mend', ['part' => 'module', 'how' => 'replace']);
        $this->do(1830, 'set', ['to' => 'on'] + $off);
        self::assertLessThan(1, $volts(), 'the module alone brings nothing back');
        $this->do(1840, 'set', $off);
        $this->do(1850, 'mend', ['part' => 'transformer', 'how' => 'replace']);
        $this->do(1860, 'set', ['to' => 'on'] + $off);
        $this->do(1990, 'wait');
        self::assertEqualsWithDelta(25, $volts(), 3);
        self::assertTrue($this->state->slots['transformer.limit']['closed']);
    }

    public function test_a_flue_pipe_pushed_aside_proves_a_blockage_is_told_and_must_not_be_left(): void
    {
        $this->arrive('furnace-80', 'flue:blocked');
        $this->do(20, 'gauge', ['tap' => 'hose-tee']);
        $drawn = (float) $this->do(24, 'read', ['of' => 'gauge'])->reading?->value;
        self::assertSame(
            ['flue-aside'],
            $this->do(25, 'set', ['part' => 'flue', 'lever' => 'pipe', 'to' => 'aside'])->dangers,
        );
        self::assertGreaterThan(3 * $drawn, (float) $this->do(60, 'read', ['of' => 'gauge'])->reading?->value);
        self::assertContains('flue-left', $this->do(61, 'hand_back')->dangers);
        self::assertSame([], $this->do(62, 'set', ['part' => 'flue', 'lever' => 'pipe', 'to' => 'joined'])->dangers);
        self::assertEqualsWithDelta($drawn, (float) $this->do(90, 'read', ['of' => 'gauge'])->reading?->value, 0.1);
    }

    public function test_a_blocked_filter_taken_out_lets_the_air_through_and_must_not_be_left(): void
    {
        $this->arrive('furnace-80', 'filter:blocked@nearly');
        self::assertEqualsWithDelta(0.09, $this->state->slots['filter.way']['free'], 1e-9);
        self::assertSame('in', $this->do(10, 'look', ['part' => 'filter'])->seen['filter']);
        $this->do(11, 'set', ['part' => 'filter', 'lever' => 'slide', 'to' => 'out']);
        self::assertEqualsWithDelta(1.0, $this->state->slots['filter.way']['free'], 1e-9);
        self::assertContains('filter-left', $this->do(12, 'hand_back')->dangers);
    }

    public function test_a_jumper_from_r_to_w_is_a_call_and_no_danger(): void
    {
        $this->arrive('furnace-80', 'thermostat:heat-contact-open');
        self::assertSame([], $this->do(10, 'jump', ['from' => 'board.R', 'to' => 'board.W'])->dangers);
        $this->do(30, 'wait');
        self::assertNotSame('idle', $this->state->slots['board.control']['state']);
    }

    public function test_a_jumper_from_line_to_neutral_trips_the_breaker(): void
    {
        $this->arrive('furnace-80', 'healthy');
        self::assertContains('live-work', $this->do(10, 'jump', ['from' => 'board.L1', 'to' => 'board.N'])->dangers);
        $this->do(12, 'wait');
        self::assertFalse($this->state->slots['breaker.trip']['whole']);
        $this->do(13, 'unjump', ['from' => 'board.L1', 'to' => 'board.N']);
        $this->do(20, 'wait');
        self::assertFalse($this->state->slots['breaker.trip']['whole'], 'it stays off until it is switched off and on');
        $this->do(21, 'set', ['part' => 'breaker', 'lever' => 'handle', 'to' => 'off']);
        $this->do(22, 'set', ['part' => 'breaker', 'lever' => 'handle', 'to' => 'on']);
        self::assertTrue($this->state->slots['breaker.trip']['whole']);
    }

    public function test_24_volts_brought_to_the_valve_past_its_control_are_unsafe(): void
    {
        $this->arrive('furnace-80', 'board:valve-relay-dead');
        self::assertContains(
            'valve-jumpered',
            $this->do(60, 'jump', ['from' => 'board.R', 'to' => 'valve.MV'])->dangers,
        );
    }

    public function test_a_plug_pulled_and_fitted(): void
    {
        $this->arrive('furnace-80', 'healthy');
        $this->do(10, 'plug', ['part' => 'valve', 'to' => 'off']);
        self::assertFalse($this->state->slots['w27.body']['b']);
        self::assertContains('wire-lifted', $this->do(11, 'hand_back')->dangers);
        $this->do(12, 'plug', ['part' => 'valve', 'to' => 'on']);
        self::assertTrue($this->state->slots['w27.body']['b']);
    }

    public function test_a_larger_fuse_lasts_where_the_right_one_blows(): void
    {
        $this->arrive('furnace-80', 'w17:rubs');
        self::assertSame(
            'The element has parted.',
            $this->bench->machine()->shows($this->state, 'fuse.element') === 'open'
                ? 'The element has parted.'
                : 'whole',
        );
        self::assertSame([], $this->do(5, 'fuse', ['part' => 'fuse', 'amps' => 3])->dangers);
        $this->do(60, 'wait');
        self::assertFalse($this->state->slots['fuse.element']['whole'], 'its cause was left');
        self::assertSame(['over-fused'], $this->do(61, 'fuse', ['part' => 'fuse', 'amps' => 40])->dangers);
        $this->do(120, 'wait');
        self::assertTrue($this->state->slots['fuse.element']['whole']);
        self::assertContains('over-fused', $this->do(121, 'hand_back')->dangers);
        $this->do(122, 'fuse', ['part' => 'fuse', 'amps' => 0]);
        self::assertArrayHasKey('fuse', $this->state->off);
        self::assertStringContainsString(
            'no fuse',
            (string) $this->do(123, 'fuse', ['part' => 'limit', 'amps' => 3])->refused,
        );
    }

    public function test_a_wrong_spare_behaves_as_what_it_is(): void
    {
        $this->arrive('furnace-80', 'capacitor:open');
        $this->do(5, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do(6, 'spare', ['part' => 'capacitor', 'spare' => '5 µF, 440 V']);
        $this->do(7, 'lift', ['end' => 'w40.b']);
        $this->do(8, 'dial', ['mode' => 'uf']);
        self::assertSame(
            '5.000 µF',
            $this->do(9, 'leads', ['red' => 'capacitor.1', 'black' => 'capacitor.2'])->reading?->text(),
        );
        $this->do(10, 'spare', ['part' => 'capacitor', 'spare' => '7.5 µF, 440 V']);
        self::assertSame('7.50 µF', $this->do(12, 'read')->reading?->text());
        self::assertStringContainsString(
            '5 µF',
            (string) $this->do(13, 'spare', ['part' => 'capacitor', 'spare' => 'any'])->refused,
        );
    }

    public function test_a_contact_that_hangs_on_a_loose_wire_makes_when_it_is_tapped(): void
    {
        $this->arrive('boiler-hydronic', 'thermostat:loose');
        $this->do(60, 'wait');
        self::assertFalse($this->state->slots['thermostat.contact']['closed']);
        $this->do(61, 'tap', ['part' => 'thermostat']);
        $this->do(70, 'wait');
        self::assertTrue($this->state->slots['thermostat.contact']['closed']);
        self::assertTrue($this->state->slots['relay.coil']['on']);
    }

    public function test_a_relay_pushed_by_hand_runs_what_it_feeds(): void
    {
        $this->arrive('package-direct-spark', 'inducer-relay:coil-open');
        self::assertSame(0.0, $this->state->slots['inducer.motor']['target']);
        self::assertSame(['pushed-by-hand'], $this->do(5, 'push', ['part' => 'inducer-relay', 'to' => 'in'])->dangers);
        $this->do(8, 'wait');
        self::assertGreaterThan(0.5, $this->state->slots['inducer.motor']['target']);
        $this->do(9, 'push', ['part' => 'inducer-relay', 'to' => 'out']);
        $this->do(12, 'wait');
        self::assertSame(0.0, $this->state->slots['inducer.motor']['target']);
        self::assertStringContainsString(
            'can be pushed in by hand',
            (string) $this->do(13, 'push', ['part' => 'limit', 'to' => 'in'])->refused,
        );
    }

    public function test_every_act_has_its_sentence(): void
    {
        $wording = new Wording(Fixtures::furnace()->model);
        $with = [
            'part' => 'limit',
            'lever' => 'x',
            'to' => 'on',
            'mode' => 'vac',
            'red' => 'board.R',
            'black' => 'board.C',
            'wires' => ['w01'],
            'tap' => 'hose-tee',
            'place' => 'board.R',
            'on' => ['board.W', 'board.C'],
            'does' => 'look',
            'meaning' => 'good',
            'fault' => 'limit:stuck-open',
            'mark' => 'star',
            'end' => 'w01.a',
            'from' => 'board.R',
            'how' => 'clean',
            'question' => 'since',
            'amps' => 3,
            'spare' => 'one',
            'known' => 'panel.L',
            'row' => 'manifold',
            'about' => 'found',
        ];
        $sentences = [];
        foreach (array_keys(Catalogue::all()) as $name) {
            $sentences[$name] = $wording->act(
                Fixtures::act(1, $name, ['to' => $name === 'jump' || $name === 'unjump' ? 'board.W' : 'on'] + $with),
            );
        }
        self::assertSame(
            [],
            array_diff_key(array_filter($sentences, fn (string $s) => $s === 'Closed the call'), [
                'hand_back' => 1,
            ]),
            'no act goes by the last word',
        );
        self::assertCount(count(Catalogue::all()), array_unique($sentences));
    }
}
