<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\Danger;
use OddSpark\Appliance\Library;
use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What hands can spoil by the way in which they do a thing: a diaphragm by the mouth, a rod by sandpaper. */
final class SpoiltTest extends TestCase
{
    use AtTheBench;

    public function test_suction_by_mouth_makes_a_switch_and_tears_its_diaphragm(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        self::assertContains('suction', $this->do('suck', ['part' => 'pressure', 'to' => 'on'])->dangers);
        self::assertTrue($this->state->slots['pressure.diaphragm']['made']);
        $this->do('suck', ['part' => 'pressure', 'to' => 'off']);
        $this->wait(240);
        $pull = $this->state->value('flue-pressure-3-below');
        self::assertGreaterThan(0.5, $pull, 'the inducer pulls');
        self::assertFalse($this->state->slots['pressure.diaphragm']['made'], 'and the switch does not feel it');
        $this->do('mend', ['part' => 'pressure', 'how' => 'replace']);
        $this->do('suck', ['part' => 'pressure', 'to' => 'off']);
        self::assertSame([], $this->bench->spoilt($this->state), 'the new one was not sucked at');
        $this->until('pressure.diaphragm', 'made', true, 240);
    }

    /** @return iterable<string, array{string|null, bool}> */
    public static function rods(): iterable
    {
        yield 'nothing said' => [null, true];
        yield 'steel wool' => ['steel_wool', true];
        yield 'sandpaper' => ['sandpaper', false];
    }

    /** Common practice, no source: fine plain steel wool; the grit of sandpaper glazes onto the rod. */
    #[DataProvider('rods')]
    public function test_a_coated_rod_is_cleaned_by_wool_and_insulated_by_sandpaper(?string $with, bool $holds): void
    {
        $this->arrive('furnace-80', 'rod:dirty');
        $this->do('door', ['to' => 'open']);
        $clean = ['part' => 'rod', 'how' => 'clean'] + ($with === null ? [] : ['with' => $with]);
        $outcome = $this->do('mend', $clean);
        self::assertSame(! $holds, in_array('harsh-cleaning', $outcome->dangers, true));
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
        $this->do('hold', ['to' => 'held']);
        $this->wait(150);
        self::assertSame($holds, $this->state->slots['burners.fire']['lit']);
        $this->do('mend', ['part' => 'rod', 'how' => 'clean', 'with' => 'steel_wool']);
        self::assertArrayNotHasKey('rod.flame.film_ohm', $this->state->fitted);
        self::assertSame([], $this->bench->spoilt($this->state));
    }

    /** Common practice, no source: nitride does for carbide. */
    public function test_a_spare_that_stands_in_is_a_repair_and_a_limit_of_another_rating_is_none(): void
    {
        $this->arrive('furnace-80', 'igniter:cracked');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertTrue($this->bench->isFaulty($this->state));
        $this->do('spare', ['part' => 'igniter', 'spare' => 'silicon nitride']);
        self::assertFalse($this->bench->isFaulty($this->state));
        self::assertSame([], $this->bench->spoilt($this->state));
        $this->do('spare', ['part' => 'limit', 'spare' => '160 °F']);
        self::assertTrue($this->bench->isFaulty($this->state));
        self::assertSame([], $this->bench->spoilt($this->state), 'a wrong part is no spoilt one');
    }

    public function test_what_hands_can_spoil_says_so(): void
    {
        $library = new Library();
        foreach (array_map($library->kind(...), $library->kindNames()) as $kind) {
            foreach ($kind['cleaned'] ?? [] as $with => $left) {
                self::assertNotSame([], $left, "$kind[kind] cleaned with $with");
            }
        }
        self::assertContains('harsh-cleaning', Danger::SLIGHT);
    }

    /** Common practice, no source: a pump has a valve on either side of it. */
    public function test_a_pump_is_opened_with_its_valves_shut_and_moves_nothing_while_they_are(): void
    {
        $this->arrive('boiler-hydronic');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertContains('water-opened', $this->do('mend', ['part' => 'circulator', 'how' => 'replace'])->dangers);
        $this->do('set', ['part' => 'circulator', 'lever' => 'valves', 'to' => 'shut']);
        self::assertSame([], $this->do('mend', ['part' => 'circulator', 'how' => 'replace'])->dangers);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
        $this->do('set', ['part' => 'thermostat', 'lever' => 'set', 'to' => 90]);
        $this->wait(600);
        $shut = $this->bench->tap($this->state, 'return-pipe');
        $this->do('set', ['part' => 'circulator', 'lever' => 'valves', 'to' => 'open']);
        $this->wait(300);
        self::assertGreaterThan($shut + 10, $this->bench->tap($this->state, 'return-pipe'), 'now it goes round');
    }

    public function test_whoever_sets_something_sees_where_it_stood(): void
    {
        $this->arrive('furnace-80');
        $set = ['part' => 'thermostat', 'lever' => 'set', 'to' => 80];
        self::assertSame(['it stood at' => '70 °F'], $this->do('set', $set)->seen);
        self::assertSame([], $this->do('set', $set)->seen, 'it stands there already');
    }
}
