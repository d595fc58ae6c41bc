<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Isolating, proving dead, locking off, leaks, the air of the room, and an appliance that must not run. */
final class SafetyActsTest extends TestCase
{
    use AtTheBench;

    /** @return iterable<string, array{string, string, array{string, string}, string, array<string, mixed>}> */
    public static function supplies(): iterable
    {
        // model, fault, what is switched off before the work (part, lever), repair, with
        yield 'breaker' => [
            'furnace-80',
            'breaker:open',
            ['panel', 'main'],
            'mend',
            ['part' => 'breaker', 'how' => 'replace'],
        ];
        yield 'service switch' => [
            'furnace-80', 'service:stuck-open', ['breaker', 'handle'], 'mend', [
                'part' => 'service',
                'how' => 'replace',
            ],
        ];
        yield 'line and neutral' => [
            'furnace-80',
            'panel:swapped',
            ['panel', 'main'],
            'mend',
            ['part' => 'panel', 'how' => 'set'],
        ];
        yield 'spur' => ['boiler-simple-230', 'spur:blown', ['spur', 'lever'], 'fuse', ['part' => 'spur', 'amps' => 3]];
        yield 'disconnect' => [
            'package-direct-spark', 'disconnect:one-open', ['disconnect', 'lever'], 'fuse',
            ['part' => 'disconnect', 'amps' => 20],
        ];
    }

    /**
     * @param array{string, string} $off
     * @param array<string, mixed> $with
     */
    #[DataProvider('supplies')]
    public function test_a_fault_of_the_supply_is_put_right_with_hands_on_nothing_live(
        string $model,
        string $fault,
        array $off,
        string $act,
        array $with,
    ): void {
        $this->arrive($model, $fault);
        [$part, $lever] = $off;
        self::assertNull($this->do('set', ['part' => $part, 'lever' => $lever, 'to' => 'off'])->refused);
        $this->wait(1);
        $done = $this->do($act, $with);
        self::assertNull($done->refused);
        self::assertSame([], $done->dangers);
        self::assertFalse($this->bench->isFaulty($this->state));
        $this->do('set', ['part' => $part, 'lever' => $lever, 'to' => 'on']);
        self::assertSame([], $this->do('hand_back')->dangers);
    }

    public function test_a_fuse_is_not_drawn_with_the_switch_on(): void
    {
        $this->arrive('boiler-simple-230');
        self::assertSame(['live-work'], $this->do('take', ['part' => 'spur', 'to' => 'off'])->dangers);
    }

    public function test_what_the_supplier_has_to_put_right_is_put_right_by_a_call(): void
    {
        foreach (['panel:off' => 'panel', 'panel:low@94' => 'panel', 'meter:no-gas' => 'meter'] as $fault => $part) {
            $this->arrive('furnace-80', $fault);
            self::assertNotNull($this->do('call_supplier', ['part' => 'limit'])->refused);
            self::assertTrue($this->bench->isFaulty($this->state), $fault);
            $this->do('call_supplier', ['part' => $part]);
            self::assertFalse($this->bench->isFaulty($this->state), $fault);
        }
    }

    public function test_the_main_switch_makes_all_of_it_dead_also_where_line_and_neutral_are_swapped(): void
    {
        foreach (['healthy', 'panel:swapped'] as $fault) {
            $this->arrive('furnace-80', $fault);
            $this->do('set', ['part' => 'panel', 'lever' => 'main', 'to' => 'off']);
            $this->wait(1);
            $solution = $this->bench->machine()->solution($this->state);
            foreach ($this->bench->plan->places as $place => $node) {
                self::assertLessThan(1, $solution->acVolts($node, 0), "$fault, $place");
            }
        }
    }

    public function test_a_place_is_proved_dead_by_a_tester_that_is_proved_too(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $prove = ['known' => 'panel.L', 'place' => 'board.L1'];
        $this->do('hold', ['to' => 'held']);
        self::assertSame('it is live', $this->do('prove_dead', $prove)->seen['proved']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $seen = $this->do('prove_dead', $prove)->seen;
        self::assertSame('live, about 120 V', $seen['known source']);
        self::assertSame('dead', $seen['the place']);
        self::assertSame('dead', $seen['proved']);
        $dead = $this->do('prove_dead', ['known' => 'service.load', 'place' => 'board.L1'])->seen;
        self::assertStringContainsString('nothing', $dead['proved']);
    }

    public function test_what_is_locked_off_stays_off_until_the_lock_is_taken(): void
    {
        $this->arrive('furnace-80');
        self::assertNotNull($this->do('lock', ['part' => 'service', 'to' => 'locked'])->refused, 'it is on');
        self::assertNotNull($this->do('lock', ['part' => 'limit', 'to' => 'locked'])->refused);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertNull($this->do('lock', ['part' => 'service', 'to' => 'locked'])->refused);
        $on = ['part' => 'service', 'lever' => 'lever', 'to' => 'on'];
        self::assertStringContainsString('locked off', (string) $this->do('set', $on)->refused);
        self::assertContains('lock-left', $this->do('hand_back')->dangers);
        $this->do('lock', ['part' => 'service', 'to' => 'free']);
        self::assertNull($this->do('set', $on)->refused);
        self::assertSame([], $this->do('hand_back')->dangers);
    }

    public function test_leak_solution_tells_nothing_without_pressure(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        self::assertNotNull($this->do('leak_test', ['part' => 'limit'])->refused);
        self::assertSame('tight, no bubbles', $this->do('leak_test', ['part' => 'valve'])->seen['joints']);
        $this->do('set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut']);
        $this->wait(5);
        self::assertStringContainsString('nothing', $this->do('leak_test', ['part' => 'valve'])->seen['joints']);
    }

    public function test_the_air_of_the_room_has_carbon_monoxide_where_the_flue_spills(): void
    {
        $ppm = function (string $fault): int {
            $this->arrive('boiler-hydronic', $fault);
            $this->do('set', ['part' => 'thermostat', 'lever' => 'set', 'to' => 80]);
            $this->wait(600);

            return (int) $this->do('room_air')->seen['carbon monoxide'];
        };
        self::assertSame(0, $ppm('healthy'));
        self::assertGreaterThan(0, $ppm('chimney:blocked'));
    }

    public function test_an_appliance_that_must_not_run_is_made_safe_tagged_and_told_of(): void
    {
        $this->arrive('furnace-80', 'exchanger:cracked');
        self::assertStringContainsString(
            'Make it safe first',
            (string) $this->do('tag_out', ['to' => 'tagged'])->refused,
        );
        $this->do('set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut']);
        self::assertNotNull($this->do('tag_out', ['to' => 'tagged'])->refused, 'the power is on');
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        self::assertContains('power-off', $this->do('hand_back')->dangers);
        self::assertNull($this->do('tag_out', ['to' => 'tagged'])->refused);
        self::assertContains('tag-unsaid', $this->do('hand_back')->dangers);
        $this->do('tell', ['about' => 'unsafe']);
        self::assertSame([], $this->do('hand_back')->dangers);
    }
}
