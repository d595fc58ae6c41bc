<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Of one person's requests one is worked on at a time on each side of the site (the bench, and all other pages), a few
 * wait for it, and more are turned away: whatever he does, he has no more than his share of the machine.
 *
 * Held by a lock of the operating system on a file, which is free again when the process ends, however it ends; in the
 * file stands how his last request went, and how many there were this minute: nobody asks the database for that.
 */
class OneAtATime
{
    private const WAITING = 10;

    private const LONGEST_S = 15.0;

    private const EVERY_US = 5000;

    private const REST = 3.0;

    private const LONGEST_REST_S = 0.5;

    /** An attentive trainee makes some sixty. */
    private const MOST_A_MINUTE = 1200;

    private const LINE = '%015.3f %08.3f %010d %06d';

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user()?->getAuthIdentifier();
        if ($user === null) {
            return $next($request);
        }
        $side = match (true) {
            $request->is('courses/*/stopped') => 'stop', // waits for nothing else that he does
            $request->is('attempts/*') => 'bench',
            default => 'pages',
        };
        $turn = $this->open("$user-$side");
        $isFree = flock($turn, LOCK_EX | LOCK_NB);
        if (! $isFree) {
            $this->wait($turn, "$user-$side");
        }
        [$done, $took, $minute, $count] = $this->last($turn);
        if (! $isFree) {
            $this->pause($done, $took);
        }
        $begun = microtime(true);
        $now = now()->getTimestamp();
        $count = $minute === intdiv($now, 60) ? $count : 0;
        if ($count >= self::MOST_A_MINUTE) {
            throw new TooManyRequestsHttpException(
                60 - $now % 60,
                'Too many requests in one minute. Wait till it is over, then try again.',
            );
        }
        try {
            return $next($request);
        } finally {
            rewind($turn);
            $done = microtime(true);
            // on a full disk what was done is done all the same
            @fwrite($turn, sprintf(self::LINE, $done, $done - $begun, intdiv($now, 60), $count + 1));
            flock($turn, LOCK_UN);
            fclose($turn);
        }
    }

    /**
     * @param resource $turn
     * @return array{float, float, int, int} when his last was done, how long it took, s; the minute in which it was
     *     begun, since 1970, and how many it was then
     */
    private function last($turn): array
    {
        rewind($turn);
        [$done, $took, $minute, $count] = (array) sscanf((string) fread($turn, 64), '%f %f %d %d') + [0, 0, 0, 0];

        return [(float) $done, (float) $took, (int) $minute, (int) $count];
    }

    /**
     * Who sends more than can be done one after the other lets the machine rest between: of it he has a quarter at
     * most.
     */
    private function pause(float $done, float $took): void
    {
        $rest = min(self::REST * $took, self::LONGEST_REST_S) - (microtime(true) - $done);
        if ($rest > 0) {
            usleep((int) (1e6 * $rest));
        }
    }

    /** @param resource $turn */
    private function wait($turn, string $name): void
    {
        for ($place = 0; $place < self::WAITING; $place++) {
            $chair = $this->open("$name-$place");
            if (flock($chair, LOCK_EX | LOCK_NB)) {
                break;
            }
            fclose($chair);
            $chair = null;
        }
        if (! isset($chair)) {
            throw new TooManyRequestsHttpException(1, 'Too many requests at once. Wait a second, then try again.');
        }
        $until = microtime(true) + self::LONGEST_S;
        try {
            while (! flock($turn, LOCK_EX | LOCK_NB)) {
                if (microtime(true) > $until) {
                    throw new TooManyRequestsHttpException(
                        1,
                        'Another request of yours is still running. Try again in a moment.',
                    );
                }
                usleep(self::EVERY_US);
            }
        } finally {
            fclose($chair);
        }
    }

    /** @return resource */
    private function open(string $name)
    {
        $file = fopen(storage_path("framework/slots/$name"), 'c+');
        if ($file === false) {
            throw new \RuntimeException('The folder storage/framework/slots cannot be written to.');
        }

        return $file;
    }
}
