<?php

declare(strict_types=1);

namespace OddSpark\Tests\Run;

use OddSpark\Run\Processes;
use PHPUnit\Framework\TestCase;
use RuntimeException;

final class ProcessesTest extends TestCase
{
    public function test_there_are_no_more_than_processors_and_at_least_one(): void
    {
        self::assertGreaterThanOrEqual(1, Processes::here());
        self::assertLessThanOrEqual((int) exec('nproc --all'), Processes::here());
    }

    public function test_every_share_comes_back_in_its_place_from_a_process_of_its_own(): void
    {
        $given = Processes::share(3, fn (int $share) => [$share, getmypid()]);
        self::assertSame([0, 1, 2], array_column($given, 0));
        self::assertSame(getmypid(), $given[0][1]);
        self::assertCount(3, array_unique(array_column($given, 1)));
    }

    public function test_a_share_whose_process_was_killed_is_done_here(): void
    {
        $here = getmypid();
        $given = Processes::share(2, function (int $share) use ($here) {
            if (getmypid() !== $here) {
                posix_kill((int) getmypid(), SIGKILL);
            }

            return [$share, getmypid()];
        });
        self::assertSame([[0, $here], [1, $here]], $given);
    }

    public function test_the_error_of_any_share_is_said_and_no_process_is_left(): void
    {
        foreach ([0, 1] as $bad) {
            try {
                Processes::share(
                    2,
                    fn (int $share) => $share === $bad ? throw new RuntimeException("share $bad") : $share,
                );
                self::fail('nothing was said');
            } catch (RuntimeException $e) {
                self::assertSame("share $bad", $e->getMessage());
            }
            self::assertSame(-1, pcntl_waitpid(-1, $status, WNOHANG));
        }
    }
}
