<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use Eris\Generators;
use Eris\TestTrait;
use OddSpark\Trade\Response;
use PHPUnit\Framework\TestCase;

final class ResponseTest extends TestCase
{
    use TestTrait;

    public function test_a_first_order_element_is_where_the_exponential_says(): void
    {
        $c = Response::towards(0, 68.0, 168.0, 20.0);
        self::assertEqualsWithDelta(168 - 100 * exp(-1), Response::at($c, 20_000), 1e-9);
        self::assertSame((int) ceil(1000 * 20 * log(2)), Response::crossing($c, 118.0, 0));
        self::assertNull(Response::crossing($c, 200.0, 0));
    }

    public function test_a_follower_agrees_with_small_steps(): void
    {
        $this->forAll(Generators::choose(2, 90), Generators::choose(2, 90), Generators::choose(-300, 300))
            ->withMaxSize(40)
            ->then(function (int $tau, int $lag, int $target): void {
                $leader = Response::towards(0, 70.0, (float) $target, (float) $tau);
                $follower = Response::behind(0, 70.0, $leader, 10.0, 1.5, (float) $lag);
                $x = 70.0;
                $h = 0.005;
                for ($i = 0; $i < 30 / $h; $i++) {
                    // midpoint rule, 30 s
                    $mid =
                        $x + (($h / 2) * (10 + 1.5 * Response::at($leader, (int) round(1000 * $i * $h)) - $x)) / $lag;
                    $x += ($h * (10 + 1.5 * Response::at($leader, (int) round(1000 * ($i + 0.5) * $h)) - $mid)) / $lag;
                }
                self::assertEqualsWithDelta($x, Response::at($follower, 30_000), 0.02);
            });
    }

    public function test_no_first_crossing_is_missed(): void
    {
        $this->forAll(
            Generators::choose(1, 60),
            Generators::choose(1, 60),
            Generators::choose(-200, 200),
            Generators::choose(-200, 200),
            Generators::choose(-200, 200),
        )->then(function (int $t1, int $t2, int $a, int $b, int $level): void {
            $course = [0, 0.0, [[(float) $a, $t1 + 0.3], [(float) $b, $t2 + 0.7]]];
            $above = Response::at($course, 0) > $level;
            $seen = null;
            for ($tick = 20; $tick <= 200_000; $tick += 20) {
                if (Response::at($course, $tick) > $level !== $above && Response::at($course, $tick) != $level) {
                    $seen = $tick;
                    break;
                }
            }
            $found = Response::crossing($course, (float) $level, 0);
            if ($seen !== null && abs(Response::at($course, 0) - $level) > 1e-9) {
                self::assertNotNull($found);
                self::assertLessThanOrEqual($seen + 1, $found);
                self::assertGreaterThan($seen - 22, $found + 1);
            } else {
                self::assertTrue($found === null || $found > 0);
            }
        });
    }
}
