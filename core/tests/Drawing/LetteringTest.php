<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Motion;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Lettering;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Letters on the board: none under a size, within their part, and upon nothing else. */
final class LetteringTest extends TestCase
{
    /** Letters are this share of their size high, from the line to the top of a capital. */
    private const CAPITALS = 0.7;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(3);
    }

    #[DataProvider('models')]
    public function test_letters_lie_within_their_part_and_upon_nothing_else(string $name): void
    {
        foreach (Boards::of($name)['parts'] as $part) {
            $boxes = $this->boxes($part);
            foreach ($boxes as $what => [$l, $t, $r, $b]) {
                self::assertGreaterThanOrEqual($part['x'], $l, "{$part['id']}: $what");
                self::assertGreaterThanOrEqual($part['y'], $t, "{$part['id']}: $what");
                self::assertLessThanOrEqual($part['x'] + $part['w'], $r, "{$part['id']}: $what");
                self::assertLessThanOrEqual($part['y'] + $part['h'], $b, "{$part['id']}: $what");
            }
            $names = array_keys($boxes);
            foreach ($names as $i => $one) {
                foreach (array_slice($names, $i + 1) as $other) {
                    [$a, $b] = [$boxes[$one], $boxes[$other]];
                    $isApart = $a[2] <= $b[0] || $b[2] <= $a[0] || $a[3] <= $b[1] || $b[3] <= $a[1];
                    self::assertTrue($isApart, "{$part['id']}: $one upon $other");
                }
            }
        }
    }

    public function test_what_moves_in_a_part_is_drawn_there_by_what_it_is(): void
    {
        $board = Boards::of('furnace-80');
        $moves = array_column($board['parts'], 'moves', 'id');
        self::assertSame([['channel' => 'inducer.sound', 'as' => Motion::Shaft->value]], $moves['inducer']);
        self::assertSame('glow', $moves['igniter'][0]['as']);
        self::assertSame('flame', $moves['burners'][0]['as']);
        self::assertSame('lamp', $moves['board'][0]['as']);
        self::assertSame('click', $moves['valve'][0]['as']);
        self::assertArrayHasKey('at', $moves['board'][0], 'a lamp has a place of its own');
    }

    public function test_a_name_that_no_part_could_hold_is_cut_and_not_written_past_its_edge(): void
    {
        $letters = new Lettering(60, 40, [], str_repeat('m', 60), false, 0);
        self::assertLessThanOrEqual(60, Lettering::width($letters->text, $letters->size));
    }

    /**
     * @param array<string, mixed> $part
     * @return array<string, array{float, float, float, float}> left, top, right and bottom by what is written or drawn
     */
    private function boxes(array $part): array
    {
        $boxes = [];
        foreach ($part['terminals'] as $t) {
            if (! isset($t['letters'])) {
                continue;
            }
            ['x' => $x, 'y' => $y, 'anchor' => $anchor, 'upright' => $isUpright] = $t['letters'];
            $wide = Lettering::width([$t['name']], Lettering::LEAST);
            $half = Lettering::LEAST * self::CAPITALS / 2;
            $from = ['start' => 0.0, 'middle' => -$wide / 2, 'end' => -$wide][$anchor];
            $boxes["terminal {$t['name']}"] = $isUpright
                ? [$x - $half, $y - $from - $wide, $x + $half, $y - $from]
                : [$x + $from, $y - $half, $x + $from + $wide, $y + $half];
        }
        [$x, $y] = $part['text_at'];
        self::assertGreaterThanOrEqual(Lettering::LEAST, $part['size']);
        $wide = max([0.0, ...$part['text_w'] ?? [Lettering::width($part['text'], $part['size'])]]);
        $high = (count($part['text']) - 1) * 1.1 * $part['size'] + self::CAPITALS * $part['size'];
        $boxes['label'] = [$x - $wide / 2, $y - $high / 2, $x + $wide / 2, $y + $high / 2];
        if (isset($part['symbol_at'])) {
            [$x, $y] = $part['symbol_at'];
            $boxes['symbol'] = [$x - 20, $y - 10, $x + 20, $y + 10];
        }

        return $boxes;
    }
}
