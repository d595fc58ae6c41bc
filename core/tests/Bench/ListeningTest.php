<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\TestCase;

/** What an ear at a part hears: relays on boards, and a pilot magnet. */
final class ListeningTest extends TestCase
{
    use AtTheBench;

    public function test_a_relay_on_a_board_clicks_and_one_whose_output_is_dead_does_not(): void
    {
        foreach (['healthy' => 'has clicked in', 'board:inducer-relay-dead' => 'quiet'] as $fault => $heard) {
            $this->arrive('furnace-80', $fault);
            $this->do('door', ['to' => 'open']);
            $this->do('hold', ['to' => 'held']);
            $this->until('board.control', 'out.inducer', true, 900);
            self::assertSame($heard, $this->do('listen', ['part' => 'board'])->seen['inducer relay'], $fault);
        }
    }

    public function test_a_pilot_magnet_that_drops_out_is_heard(): void
    {
        $this->arrive('furnace-standing-pilot', 'healthy', 'cold');
        $this->do('door', ['to' => 'open']);
        self::assertSame('holds', $this->do('listen', ['part' => 'valve'])->seen['pilot magnet']);
        $this->do('lift', ['end' => $this->leadOf('valve.core')]);
        $this->wait(10);
        self::assertSame(
            'has dropped out with a clack',
            $this->do('listen', ['part' => 'valve'])->seen['pilot magnet'],
        );
    }

    private function leadOf(string $place): string
    {
        foreach ($this->bench->plan->model->wires() as $id => $wire) {
            foreach (['a', 'b'] as $end) {
                if ($wire->at($end) === $place) {
                    return "$id.$end";
                }
            }
        }
        self::fail("no wire at $place");
    }
}
