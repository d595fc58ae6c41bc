<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Library;
use OddSpark\Drawing\Board;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BoardTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_parts_lie_apart_and_wires_run_squarely_round_them(string $name): void
    {
        $model = (new Library())->model($name);
        $board = Board::of($model);
        foreach ($board['parts'] as $i => $p) {
            self::assertLessThanOrEqual($board['width'], $p['x'] + $p['w'], $p['id']);
            self::assertLessThanOrEqual($board['height'], $p['y'] + $p['h'], $p['id']);
            foreach (array_slice($board['parts'], $i + 1) as $q) {
                $apart = $q['x'] >= $p['x'] + $p['w'] || $p['x'] >= $q['x'] + $q['w'] || $q['y'] >= $p['y'] + $p['h'] || $p['y'] >= $q['y'] + $q['h'];
                self::assertTrue($apart, "{$p['id']} lies on {$q['id']}");
            }
        }
        self::assertCount(count($model->wires()), $board['wires']);
        foreach ($board['wires'] as $wire) {
            foreach (array_slice($wire['points'], 1) as $i => [$x, $y]) {
                [$u, $v] = $wire['points'][$i];
                self::assertTrue($x === $u || $y === $v, "{$wire['id']} runs aslant");
                foreach ($board['parts'] as $p) {
                    $through = max($x, $u) > $p['x'] + 1 && min($x, $u) < $p['x'] + $p['w'] - 1 && max($y, $v) > $p['y'] + 1 && min($y, $v) < $p['y'] + $p['h'] - 1;
                    self::assertFalse($through, "{$wire['id']} runs through {$p['id']}");
                }
            }
        }
    }
}
