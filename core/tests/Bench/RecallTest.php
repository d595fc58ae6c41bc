<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\TestCase;

/** A control that keeps its last codes, and the button that shows them. */
final class RecallTest extends TestCase
{
    use AtTheBench;

    public function test_codes_outlive_the_power_and_are_shown_the_newest_first(): void
    {
        $this->arrive('furnace-80', 'hose:off');
        $this->do('door', ['to' => 'open']);
        self::assertSame('nothing is shown', $this->do('recall', ['part' => 'board'])->seen['codes kept'], 'no power');
        $this->do('hold', ['to' => 'held']);
        $this->wait(3);
        self::assertSame('3 flashes', $this->do('recall', ['part' => 'board'])->seen['codes kept']);
    }

    public function test_a_sound_control_has_kept_none_and_one_without_a_memory_is_refused(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        $this->wait(3);
        self::assertSame('none', $this->do('recall', ['part' => 'board'])->seen['codes kept']);
        self::assertSame('It keeps no codes.', $this->do('recall', ['part' => 'limit'])->refused);
        $this->arrive('oil-furnace');
        self::assertNotNull($this->do('recall', ['part' => 'primary'])->refused);
    }
}
