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

    public function test_a_burnt_contact_in_a_motors_line_gets_worse_until_it_is_burnt_through(): void
    {
        $s = TestRig::withFault('boiler-hydronic', 'relay:pump-burnt');
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('relay.pump', 'hot') === true, 600));
        $drop = $s->volts('relay.L', 'relay.P1');
        self::assertGreaterThan(15, $drop ** 2 / 120, 'watts in the contact');
        $s->run(1000);
        self::assertSame(1, $s->slot('relay.pump', 'scorched'));
        self::assertNotNull($s->until(fn (TestRig $s) => $s->slot('relay.pump', 'scorched') === 2, 20_000));
        $plan = $s->plan;
        $ohms = $s->machine->solution($s->state)->dcOhms($plan->places['relay.L'], $plan->places['relay.P1']);
        self::assertGreaterThan(1000, $ohms, 'nothing flows through it any more');
    }

    public function test_it_smells_and_shows_when_it_is_found(): void
    {
        $this->arrive('boiler-hydronic', 'relay:pump-burnt');
        $this->do('door', ['to' => 'open']);
        self::assertSame('of scorched plastic', $this->do('smell')->seen['smell']);
        self::assertStringContainsString('browned', $this->do('look', ['part' => 'relay'])->seen['scorched']);
        $this->do('mend', ['part' => 'relay', 'how' => 'replace']);
        self::assertSame('of nothing', $this->do('smell')->seen['smell']);
        self::assertArrayNotHasKey('scorched', $this->do('look', ['part' => 'relay'])->seen);
    }

    public function test_one_that_carries_milliamps_stays_as_it_is(): void
    {
        $s = TestRig::withFault('zones-hydronic', 'zv1:end-burnt')->run(7200);
        self::assertSame(0, $s->slot('zv1.end', 'scorched'));
        self::assertArrayNotHasKey('scorched', TestRig::of('zones-hydronic')->run(1)->state->slots['zv1.end']);
    }
}
