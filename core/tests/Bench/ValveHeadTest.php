<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\TestCase;

/** The head of a motorised valve taken off its body: spindle, gear, end switch and the wire behind it. */
final class ValveHeadTest extends TestCase
{
    use AtTheBench;

    public function test_a_spindle_is_turned_with_the_head_off_and_tells_whether_it_is_seized(): void
    {
        foreach ([
            'healthy' => 'turns freely',
            'zv1:seized-shut' => 'does not turn',
            'zv1:slow' => 'turns stiffly',
            'zv1:motor-open' => 'turns freely',
        ] as $fault => $found) {
            $this->arrive('zones-hydronic', $fault);
            self::assertStringContainsString('head', (string) $this->do('turn', ['part' => 'zv1'])->refused);
            $this->do('head', ['part' => 'zv1', 'to' => 'off']);
            self::assertSame($found, $this->do('turn', ['part' => 'zv1'])->seen['spindle'], $fault);
        }
    }

    public function test_a_head_runs_and_makes_its_end_switch_without_a_body_that_is_seized(): void
    {
        foreach (['zv1:seized-shut' => true, 'zv1:motor-open' => false] as $fault => $runs) {
            $this->arrive('zones-hydronic', $fault);
            $this->do('door', ['to' => 'open']);
            $this->do('set', ['part' => 'thermostat-1', 'lever' => 'set', 'to' => 80]);
            $this->wait(60);
            self::assertFalse($this->state->slots['zv1.travel']['made'], "$fault, as it was found");
            $this->do('head', ['part' => 'zv1', 'to' => 'off']);
            $this->wait(60);
            self::assertSame($runs, $this->state->slots['zv1.travel']['made'], $fault);
            self::assertEqualsWithDelta(0.0, $this->state->slots['zv1.body']['q'], 0.05, 'the body stays shut');
            self::assertContains('head-off', $this->do('hand_back')->dangers);
            $this->do('head', ['part' => 'zv1', 'to' => 'on']);
            $this->wait(60);
            self::assertFalse($this->state->slots['zv1.travel']['made'], "$fault, its head on again");
        }
    }

    public function test_orange_lives_with_the_head_of_a_seized_mid_position_valve_off(): void
    {
        $this->arrive('mid-position-230', 'three-port:seized-water', 'winter');
        $this->do('door', ['to' => 'open']);
        $this->wait(60);
        self::assertLessThan(20, $this->read('vlz', 'three-port.OG', 'three-port.BU'));
        $this->do('head', ['part' => 'three-port', 'to' => 'off']);
        $this->wait(60);
        self::assertGreaterThan(200, $this->read('vlz', 'three-port.OG', 'three-port.BU'));
    }

    public function test_what_has_no_head_is_refused(): void
    {
        $this->arrive('zones-hydronic');
        self::assertNotNull($this->do('head', ['part' => 'panel', 'to' => 'off'])->refused);
        self::assertNotNull($this->do('head', ['part' => 'zv1', 'to' => 'on'])->refused);
    }
}
