<?php

declare(strict_types=1);

namespace OddSpark\Tests\Faults;

use OddSpark\Faults\Draw;
use PHPUnit\Framework\TestCase;

/** A pool drawn for a class. */
final class DrawTest extends TestCase
{
    public function test_neighbours_differ_all_of_the_pool_is_used_and_the_draw_is_the_same_again(): void
    {
        $people = range(10, 33);
        foreach ([2, 3, 5, 8] as $many) {
            $pool = array_map(fn (int $i) => "fault-$i", range(1, $many));
            for ($seed = 1; $seed <= 200; $seed++) {
                $drawn = Draw::each($pool, $people, $seed);
                self::assertSame($people, array_keys($drawn));
                self::assertSame($drawn, Draw::each($pool, $people, $seed));
                $list = array_values($drawn);
                for ($i = 1; $i < count($list); $i++) {
                    self::assertNotSame($list[$i - 1], $list[$i], "$many faults, seed $seed, place $i");
                }
                $counts = array_count_values($list);
                self::assertCount($many, $counts);
                self::assertLessThanOrEqual(1, max($counts) - min($counts), 'evenly');
            }
            self::assertNotSame(Draw::each($pool, $people, 1), Draw::each($pool, $people, 4));
        }
        self::assertSame([7 => 'one', 8 => 'one'], Draw::each(['one'], [7, 8], 1));
    }

    public function test_a_further_try_is_another_fault_as_long_as_there_is_one(): void
    {
        $pool = ['a', 'b', 'c'];
        for ($seed = 1; $seed <= 50; $seed++) {
            $had = ['b'];
            $had[] = Draw::again($pool, $had, $seed);
            $had[] = Draw::again($pool, $had, $seed);
            self::assertEqualsCanonicalizing($pool, $had);
            self::assertNotSame($had[2], Draw::again($pool, $had, $seed));
        }
        self::assertSame('a', Draw::again(['a'], ['a'], 3));
    }
}
