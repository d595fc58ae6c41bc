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
 * Held by a lock of the operating system on a file, which is free again when the process ends, however it ends.
 */
class OneAtATime
{
    private const WAITING = 10;

    private const LONGEST_S = 15.0;

    private const EVERY_US = 5000;

    private const REST = 3.0;

    private const LONGEST_REST_S = 0.5;

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
        if (! flock($turn, LOCK_EX | LOCK_NB)) {
            $this->wait($turn, "$user-$side");
            $this->pause($turn);
        }
        $begun = microtime(true);
        try {
            return $next($request);
        } finally {
            rewind($turn);
            // on a full disk what was done is done all the same
            @fwrite($turn, sprintf('%015.3f %08.3f', microtime(true), microtime(true) - $begun));
            flock($turn, LOCK_UN);
            fclose($turn);
        }
    }

    /**
     * Who sends more than can be done one after the other lets the machine rest between: of it he has a quarter at
     * most.
     *
     * @param resource $turn when his last was done, and how long it took, s
     */
    private function pause($turn): void
    {
        rewind($turn);
        [$done, $took] = sscanf((string) fread($turn, 24), '%f %f') + [0.0, 0.0];
        $rest = min(self::REST * (float) $took, self::LONGEST_REST_S) - (microtime(true) - (float) $done);
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
