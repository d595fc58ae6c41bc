<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Bench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is asked, heard, felt and refused at the bench. */
final class SensesAndDoorsTest extends TestCase
{
    use ActsAtTheBench;

    public function test_a_shaft_is_turned_by_hand_and_not_while_it_runs(): void
    {
        $this->arrive('furnace-80', 'inducer:seized');
        self::assertSame('does not turn', $this->do(5, 'turn', ['part' => 'inducer'])->seen['shaft']);
        $this->arrive('furnace-80', 'healthy');
        self::assertSame(['moving-part'], $this->do(10, 'turn', ['part' => 'inducer'])->dangers);
        self::assertSame('turns freely', $this->do(11, 'turn', ['part' => 'blower'])->seen['shaft']);
        self::assertStringContainsString(
            'nothing on it to turn',
            (string) $this->do(12, 'turn', ['part' => 'limit'])->refused,
        );
    }

    public function test_listening_feeling_and_smelling(): void
    {
        $this->arrive('furnace-80', 'transformer:shorted-turns');
        self::assertSame('of burnt varnish', $this->do(5, 'smell')->seen['smell']);
        $this->arrive('furnace-80', 'healthy');
        self::assertSame('runs', $this->do(10, 'listen', ['part' => 'inducer'])->seen['inducer']);
        self::assertSame('nothing', $this->do(11, 'listen', ['part' => 'limit'])->seen['sound']);
        self::assertSame('of nothing', $this->do(12, 'smell')->seen['smell']);
        self::assertContains($this->do(13, 'feel', ['part' => 'limit'])->seen['warmth'], ['cool', 'warm']);
        self::assertContains($this->do(400, 'feel', ['part' => 'limit'])->seen['warmth'], ['hot', 'too hot to hold']);
        self::assertSame('runs smoothly', $this->do(401, 'feel', ['part' => 'blower'])->seen['tremor']);
    }

    public function test_the_gas_meter_is_clocked(): void
    {
        $this->arrive('furnace-80', 'healthy');
        self::assertSame('stands still', $this->do(5, 'clock', ['part' => 'meter'])->seen['dial']);
        // derived: 80,000 Btu/h of 1020 Btu a cubic foot are 78.4 ft³/h, one in 45.9 s
        self::assertSame('one cubic foot in 46 s', $this->do(120, 'clock', ['part' => 'meter'])->seen['dial']);
        self::assertStringContainsString('no dial', (string) $this->do(121, 'clock', ['part' => 'limit'])->refused);
    }

    public function test_the_customer_tells_the_lamp_that_he_sees_without_opening_anything(): void
    {
        $seen = function (string $model, string $fault): string {
            $this->arrive($model, $fault, false);

            return $this->do(1, 'ask', ['question' => 'outside'])->seen['answer'];
        };
        self::assertSame('Board lamp 4 flashes.', $seen('furnace-80', 'limit:stuck-open'));
        self::assertSame('Board lamp dark.', $seen('furnace-80', 'transformer:primary-open'));
        self::assertSame('I see no light on it.', $seen('furnace-standing-pilot', 'healthy'));
    }

    public function test_he_says_which_rooms_and_what_he_has_done(): void
    {
        $this->arrive('furnace-80', 'igniter:cracked', false);
        self::assertSame(
            'I set the thermostat, mode, to off, then set the thermostat, mode, to heat.',
            $this->do(1, 'ask', ['question' => 'touched'])->seen['answer'],
        );
        self::assertMatchesRegularExpression(
            '/^In the .+ it is cold\.$/',
            $this->do(2, 'ask', ['question' => 'rooms'])->seen['answer'],
        );
    }

    public function test_a_sound_is_heard_through_a_door_and_nothing_is_seen_through_it(): void
    {
        $this->arrive('furnace-80', 'healthy', false);
        self::assertSame('runs', $this->do(10, 'listen', ['part' => 'inducer'])->seen['inducer']);
        self::assertStringContainsString(
            'behind the door',
            (string) $this->do(11, 'look', ['part' => 'inducer'])->refused,
        );
    }

    public function test_a_hand_on_a_hot_igniter_or_a_live_rod_is_told_of(): void
    {
        $this->arrive('furnace-80', 'healthy');
        self::assertSame(
            ['igniter-touched'],
            $this->do(3, 'feel', ['part' => 'igniter'])->dangers,
            'cold, and nothing on it',
        );
        self::assertSame(
            ['live-work'],
            $this->do(4, 'feel', ['part' => 'rod'])->dangers,
            'the control has its volts on it',
        );
        self::assertSame([], $this->do(5, 'feel', ['part' => 'limit'])->dangers);
        $hot = [];
        for ($t = 6; $t < 60; $t++) {
            $hot = [...$hot, ...$this->do($t, 'feel', ['part' => 'igniter'])->dangers];
        }
        self::assertContains('hot-igniter', $hot);
    }

    public function test_the_customer_answers_by_what_he_lived_through(): void
    {
        $this->arrive('furnace-80', 'fuse:blown', false);
        self::assertSame('Blank display.', $this->do(1, 'ask', ['question' => 'display'])->seen['answer']);
        self::assertSame(
            'Since I first noticed, it has not heated at all.',
            $this->do(2, 'ask', ['question' => 'since'])->seen['answer'],
        );
        $this->arrive('furnace-80', 'inducer:seized', false);
        self::assertSame('Something hums.', $this->do(1, 'ask', ['question' => 'noise'])->seen['answer']);
        self::assertSame(
            'Not long ago, I think.',
            $this->do(2, 'ask', ['question' => 'filter'])->seen['answer'],
            'as customers are',
        );
    }

    public function test_a_relay_that_tires_fails_after_some_makings(): void
    {
        $s = TestRig::withFault('package-direct-spark', 'inducer-relay:tired');
        for ($i = 1; $i <= 3; $i++) {
            $s->set('thermostat.mode', 'heat')->run(5);
            self::assertTrue($s->slot('inducer-relay.contact', 'closed'), "making $i");
            $s->set('thermostat.mode', 'off')->run(5);
        }
        $s->set('thermostat.mode', 'heat')->run(5);
        self::assertFalse($s->slot('inducer-relay.contact', 'closed'), 'the fourth time it does not');
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function behindTheDoor(): iterable
    {
        yield 'look' => ['look', ['part' => 'igniter']];
        yield 'plug' => ['plug', ['part' => 'valve', 'to' => 'off']];
        yield 'jump' => ['jump', ['from' => 'board.R', 'to' => 'board.W']];
        yield 'tap' => ['tap', ['part' => 'limit']];
        yield 'turn' => ['turn', ['part' => 'blower']];
        yield 'push' => ['push', ['part' => 'valve', 'to' => 'in']];
        yield 'feel' => ['feel', ['part' => 'limit']];
        yield 'fuse' => ['fuse', ['part' => 'fuse', 'amps' => 3]];
        yield 'spare' => ['spare', ['part' => 'limit', 'spare' => '200 °F']];
        yield 'mend' => ['mend', ['part' => 'limit', 'how' => 'replace']];
        yield 'reset' => ['reset', ['part' => 'rollout-l']];
        yield 'leads' => ['leads', ['red' => 'board.R', 'black' => 'board.C']];
        yield 'lift' => ['lift', ['end' => 'w27.b']];
        yield 'clamp' => ['clamp', ['wires' => ['w33']]];
        yield 'gauge' => ['gauge', ['tap' => 'hose-tee']];
        yield 'tester' => ['tester', ['place' => 'board.L1']];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('behindTheDoor')]
    public function test_behind_a_shut_door_nothing_can_be_done(string $act, array $with): void
    {
        $this->arrive('furnace-80', 'healthy', false);
        $outcome = $this->do(1, $act, $with);
        self::assertStringContainsString('behind the door', (string) $outcome->refused);
        self::assertSame($this->state->labour, 0.0);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function nowhere(): iterable
    {
        $with = ['part' => 'flux', 'lever' => 'x', 'how' => 'replace', 'amps' => 3, 'spare' => 'x'];
        $with += ['red' => 'board.R', 'black' => 'board.C', 'seconds' => 1, 'does' => 'look'];
        foreach (Catalogue::all() as $act => $class) {
            $fields = $class::fields();
            if (isset($fields['part'])) {
                $to = ['to' => $fields['to']->schema['enum'][0] ?? 'in'];
                yield $act => [$act, array_intersect_key($with + $to, $fields)];
            }
        }
        yield 'prove dead' => ['prove_dead', ['known' => 'panel.L', 'place' => 'flux.a']];
        yield 'jump' => ['jump', ['from' => 'flux.a', 'to' => 'board.R']];
        yield 'lift' => ['lift', ['end' => 'flux.a']];
        yield 'clamp' => ['clamp', ['wires' => ['flux']]];
        yield 'tester' => ['tester', ['place' => 'flux.a']];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('nowhere')]
    public function test_what_is_not_there_is_refused_by_name(string $act, array $with): void
    {
        $this->arrive('furnace-80', 'healthy');
        self::assertStringContainsString('flux', (string) $this->do(3, $act, $with)->refused);
    }
}
