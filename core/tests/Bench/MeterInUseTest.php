<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Bench\Bench;
use OddSpark\Bench\Kit;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** What a meter meets in use: fuses, worn leads, a low battery, capacitors. */
final class MeterInUseTest extends TestCase
{
    use MeterAtFurnace;

    public function test_the_fuse_of_a_current_range_blows_when_the_volts_come_later(): void
    {
        $this->do(3, 'dial', ['mode' => 'ua']);
        self::assertSame(
            [],
            $this->do(4, 'leads', ['red' => 'valve.MV', 'black' => 'valve.MVC'])->dangers,
            'nothing there yet',
        );
        self::assertSame(['meter-fuse'], $this->do(90, 'read')->dangers, 'when the valve was fed');
        self::assertSame(['small'], $this->state->blown);
        self::assertSame(0.0, $this->shown(91, 'read'));
        self::assertSame(
            ['meter-fuse'],
            $this->do(92, 'meter_fuse')->dangers,
            'with the leads left on, the new one goes too',
        );
        $this->do(93, 'leads', ['red' => null, 'black' => null]);
        $this->do(94, 'meter_fuse');
        self::assertSame([], $this->state->blown);
    }

    public function test_the_larger_range_has_a_fuse_of_its_own(): void
    {
        $this->do(3, 'dial', ['mode' => 'aac']);
        self::assertSame(['meter-fuse'], $this->do(4, 'leads', ['red' => 'board.L1', 'black' => 'board.N'])->dangers);
        self::assertSame(['large'], $this->state->blown);
        $this->do(5, 'leads', ['red' => null, 'black' => null]);
        $this->do(6, 'dial', ['mode' => 'ua']);
        self::assertSame(['large'], $this->state->blown, 'the small one is whole');
    }

    public function test_a_blower_capacitor_is_measured_isolated_and_lies_in_circuit(): void
    {
        $this->do(3, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do(4, 'dial', ['mode' => 'uf']);
        $inCircuit = $this->do(5, 'leads', ['red' => 'capacitor.1', 'black' => 'capacitor.2'])->reading?->text();
        self::assertNotSame('7.50 µF', $inCircuit, 'the windings lie beside it');
        $this->do(6, 'lift', ['end' => 'w40.b']);
        self::assertSame('7.50 µF', $this->do(7, 'read')->reading?->text());
    }

    public function test_a_lead_lifted_live_from_a_running_blower_leaves_the_capacitor_charged(): void
    {
        $this->do(150, 'wait');
        self::assertContains('live-work', $this->do(151, 'lift', ['end' => 'w40.b'])->dangers);
        $this->do(152, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do(153, 'lift', ['end' => 'w41.b']);
        self::assertSame(
            ['charged-capacitor'],
            $this->do(160, 'mend', ['part' => 'capacitor', 'how' => 'replace'])->dangers,
        );
    }

    public function test_a_worn_lead_now_and_then_does_not_touch_until_it_is_pressed_home(): void
    {
        $unsteady = 0;
        for ($seed = 71; $seed <= 140; $seed++) {
            $bench = new Bench(
                Fixtures::furnace(),
                Fixtures::universe()->get('healthy'),
                new Memory(),
                $seed,
                new Kit(wornLeads: true),
            );
            $state = $bench->arrive('cold')->state;
            $state = $bench->resume($state);
            [$state] = $bench->do($state, Fixtures::act(1, 'door', ['to' => 'open']));
            [$state, $outcome] = $bench->do(
                $state,
                Fixtures::act(2, 'leads', ['red' => 'board.R', 'black' => 'board.C']),
            );
            if ($outcome->reading?->unsteady) {
                $unsteady++;
                [$state, $again] = $bench->do($state, Fixtures::act(3, 'read'));
                self::assertFalse($again->reading?->unsteady, 'pressed home');
            }
        }
        self::assertGreaterThan(0, $unsteady);
        self::assertLessThan(15, $unsteady);
    }

    public function test_a_meter_with_a_low_battery_says_so_until_it_has_a_new_one(): void
    {
        $bench = new Bench(
            Fixtures::furnace(),
            Fixtures::universe()->get('healthy'),
            new Memory(),
            3,
            new Kit(lowBattery: true),
        );
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        [$state] = $bench->do($state, Fixtures::act(1, 'door', ['to' => 'open']));
        [$state] = $bench->do($state, Fixtures::act(2, 'hold', ['to' => 'held']));
        [$state, $outcome] = $bench->do($state, Fixtures::act(6, 'leads', ['red' => 'board.R', 'black' => 'board.C']));
        self::assertGreaterThan(27.5, $outcome->reading?->value);
        self::assertTrue($outcome->reading?->low);
        [$state] = $bench->do($state, Fixtures::act(7, 'meter_battery'));
        [, $outcome] = $bench->do($state, Fixtures::act(8, 'read'));
        self::assertEqualsWithDelta(26.6, $outcome->reading?->value, 0.6);
        self::assertFalse($outcome->reading?->low);
    }

    public function test_a_sound_capacitor_kicks_and_climbs_on_ohms_and_an_open_one_stays(): void
    {
        foreach (['healthy' => true, 'capacitor:open' => false, 'capacitor:weak@3.5' => true] as $fault => $kicks) {
            $this->open($fault);
            $this->do(3, 'set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
            $this->do(400, 'dial', ['mode' => 'ohm']);
            $across = ['red' => 'capacitor.1', 'black' => 'capacitor.2'];
            self::assertSame([], $this->do(401, 'leads', $across)->seen, "$fault, by way of the windings");
            $this->do(402, 'leads', ['red' => null, 'black' => null]);
            $this->do(403, 'lift', ['end' => 'w40.b']);
            $outcome = $this->do(404, 'leads', $across);
            self::assertSame($kicks, $outcome->seen !== [], "$fault: ".$outcome->reading?->text());
            self::assertSame([], $this->do(405, 'read')->seen, 'it has its charge by now');
        }
    }

    public function test_what_is_inside_a_part_is_no_place_for_a_lead(): void
    {
        self::assertStringContainsString(
            'no place',
            (string) $this->do(3, 'leads', ['red' => 'transformer.hot', 'black' => 'board.C'])->refused,
        );
        self::assertStringContainsString(
            '600',
            (string) $this->do(4, 'dial', ['mode' => 'vac', 'range' => 20])->refused,
        );
        self::assertSame(
            'OL V AC',
            $this->do(5, 'dial', ['mode' => 'vac', 'range' => 6])->reading?->text() ??
                $this->do(6, 'leads', ['red' => 'board.R', 'black' => 'board.C'])->reading?->text(),
        );
    }
}
