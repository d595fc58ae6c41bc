<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Primitive\MidPosition;
use OddSpark\Parts\Surroundings;
use OddSpark\Sequence\Input;
use OddSpark\Trade\Response;
use PHPUnit\Framework\TestCase;

/**
 * What goes by a level follows when it is crossed, whichever way, though ticks are whole: each is asked at the ticks at
 * which it wants to be asked, and at no others, as a run does.
 */
final class CrossingTest extends TestCase
{
    /** Levels and paths: of the size of temperatures, of in. w.c., and of shares. */
    private const SCALES = [200.0, 1.0, 0.05];

    private const TRIES = 300;

    public function test_a_condition_begins_and_ends_with_its_level(): void
    {
        foreach (['above', 'below'] as $way) {
            $this->paths(function (array $course, float $level) use ($way): void {
                $c = ['by' => 'x', $way => $level];
                $tick = 0;
                while (($next = Condition::next([$c], self::at($tick, $course))) !== Primitive::NEVER) {
                    $tick = $next;
                }
                $end = $course[1];
                $asked = Condition::holds($c, self::at($tick, $course));
                $this->assertSame($way === 'above' ? $end > $level : $end < $level, $asked, "$way $level, to $end");
            });
        }
    }

    public function test_an_input_goes_on_and_off_with_its_levels(): void
    {
        foreach ([1, -1] as $way) {
            foreach ($way > 0 ? [0.0, 0.1] : [0.1] as $span) {
                $this->paths(function (array $course, float $level, float $scale) use ($way, $span): void {
                    $p = ['of' => 'x', 'on' => $level, 'off' => $level - $way * $span * $scale];
                    $input = new Input($p, new Fittings([], [], [], [], 314.0));
                    $tick = 0;
                    $on = $way * ($course[1] + $course[2][0][0]) > $way * $level; // as it stands at first
                    do {
                        $now = self::at($tick, $course);
                        $on = $input->wanted($on, $now);
                        $tick = $input->next($now);
                    } while ($tick !== Primitive::NEVER);
                    $end = $course[1];
                    if ($way * $end > $way * $p['on'] || $way * $end < $way * $p['off']) { // between them it stays
                        $this->assertSame($way * $end > $way * $p['on'], $on, json_encode($p)." to $end");
                    }
                });
            }
        }
    }

    public function test_the_end_switch_of_a_valve_opens_on_its_way_back(): void
    {
        for ($i = 1; $i <= 2000; $i++) {
            $travel = 5 + $i / 97;
            $valve = new MidPosition(
                ['white' => 'W', 'grey' => 'G', 'neutral' => 'N', 'ohm' => 1000, 'run_v' => 150, 'travel_s' => $travel],
                new Fittings(
                    ['W' => 0, 'G' => 1, 'N' => 2, 'white' => 0, 'grey' => 1, 'neutral' => 2],
                    [0, 1],
                    [],
                    [],
                    314.0,
                ),
            );
            $slot = ['course' => Response::still(0, 1.0), 'target' => 1.0, 'full' => true];
            $tick = 0;
            do {
                $now = new Surroundings($tick, []); // nothing is fed: its spring takes it back
                $slot = $valve->react($slot, $now);
                $tick = $valve->next($slot, $now);
            } while ($tick !== Primitive::NEVER);
            $this->assertFalse($slot['full'], "travel of $travel s");
        }
    }

    /** @param callable(array{int, float, list<array{float, float}>}, float, float): void $try */
    private function paths(callable $try): void
    {
        mt_srand(7);
        foreach (self::SCALES as $scale) {
            for ($i = 0; $i < self::TRIES; $i++) {
                $draw = fn (): float => $scale * mt_rand(1, 1_000_000) / 1_000_000;
                $tau = 10 ** mt_rand(-1, 4) * (1 + mt_rand(0, 1000) / 300);
                $try(Response::towards(0, $draw(), $draw(), $tau), round($draw(), 2) ?: 0.01, $scale);
            }
        }
    }

    /** @param array{int, float, list<array{float, float}>} $course */
    private static function at(int $tick, array $course): Surroundings
    {
        return new Surroundings($tick, ['x' => ['course' => $course]]);
    }
}
