<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;
use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Reset buttons that are pressed, and those that have to be held. */
final class ResetsTest extends TestCase
{
    use AtTheBench;

    /** The third lockout in a row holds until the button is held: common practice, no source. */
    public function test_the_third_lockout_in_a_row_yields_only_to_a_button_that_is_held(): void
    {
        $this->arrive('oil-furnace', 'nozzle:plugged');
        $this->do('door', ['to' => 'open']);
        foreach ([1, 2] as $_) {
            $this->until('primary.control', 'state', 'lockout', 200);
            self::assertNull($this->do('reset', ['part' => 'primary'])->refused);
        }
        $this->until('primary.control', 'state', 'restricted', 200);
        $this->do('reset', ['part' => 'primary']);
        $this->wait(5);
        self::assertSame('restricted', $this->state->slots['primary.control']['state'], 'a press does nothing');
        $this->do('reset', ['part' => 'primary', 'seconds' => 10]);
        self::assertSame('restricted', $this->state->slots['primary.control']['state'], 'nor ten seconds');
        $labour = $this->state->labour;
        $this->do('reset', ['part' => 'primary', 'seconds' => 45]);
        $this->wait(1);
        self::assertNotSame('restricted', $this->state->slots['primary.control']['state']);
        self::assertEqualsWithDelta(1.25, $this->state->labour - $labour, 1e-9, 'and it costs the time');
    }

    public function test_it_is_said_how_long_it_was_held_and_what_cannot_be(): void
    {
        $this->arrive('oil-furnace', 'nozzle:plugged');
        $this->do('door', ['to' => 'open']);
        self::assertStringContainsString(
            '0 to 120 seconds',
            (string) $this->do('reset', ['part' => 'primary', 'seconds' => 1000])->refused,
        );
        $lines = (new Table(TestRig::plan('oil-furnace')->primitives['primary.control']['spec']['table']))->words();
        self::assertStringContainsString('reset held for 30 s', json_encode($lines, JSON_THROW_ON_ERROR));
    }

    public function test_a_table_that_asks_to_hold_what_has_no_button_is_refused(): void
    {
        $table = TestRig::plan('oil-furnace')->primitives['primary.control']['spec']['table'];
        $table['states']['idle']['held_s'] = 5;
        $this->expectException(TableError::class);
        (new Table($table))->check(['supply', 'call', 'flame']);
    }
}
