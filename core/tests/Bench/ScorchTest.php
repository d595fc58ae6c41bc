<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** A burnt contact that dissipates tens of watts gets worse, smells and shows. */
final class ScorchTest extends TestCase
{
    use AtTheBench;

    public function test_a_burnt_contact_in_a_motors_line_gets_worse_smells_and_shows(): void
    {
        $this->arrive('boiler-hydronic', 'relay:pump-burnt');
        $this->do('door', ['to' => 'open']);
        $this->do('set', ['part' => 'thermostat', 'lever' => 'set', 'to' => 80]);
        $at = $this->state->slots['relay.pump']['scorched'];
        self::assertSame('of scorched plastic', $this->do('smell')->seen['smell']);
        $drop = $this->read('vac', 'relay.L', 'relay.P1');
        self::assertGreaterThan(10, $drop ** 2 / 120 / 2 ** $at, 'watts in the contact');
        $this->wait(1800);
        self::assertGreaterThan($at, $this->state->slots['relay.pump']['scorched']);
        self::assertGreaterThan($drop, $this->read('vac', 'relay.L', 'relay.P1'));
        self::assertStringContainsString('browned', $this->do('look', ['part' => 'relay'])->seen['scorched']);
    }

    public function test_one_that_carries_milliamps_stays_as_it_is(): void
    {
        $s = TestRig::withFault('zones-hydronic', 'zv1:end-burnt')->run(7200);
        self::assertSame(0, $s->slot('zv1.end', 'scorched'));
        self::assertArrayNotHasKey('scorched', TestRig::of('zones-hydronic')->run(1)->state->slots['zv1.end']);
    }
}
