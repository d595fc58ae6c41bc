<?php

declare(strict_types=1);

namespace OddSpark\Run;

/**
 * Work that falls into shares that know nothing of each other, done in several processes at once.
 */
final class Processes
{
    /** More of them than this are no quicker: each learns for itself what one alone would remember. */
    private const MOST = 4;

    /** After all that a share gives. */
    private const WHOLE = "\0whole";

    /** Bytes that are sent at once. */
    private const PIECE = 1 << 16;

    /** Kilobytes that are to be free for each: the largest shipped model takes some 700,000. */
    private const EACH_KB = 1_200_000;

    /** How many are worth having here: as many as there are processors, and memory for; one where none can be begun. */
    public static function here(): int
    {
        if (! function_exists('pcntl_fork') || ! function_exists('posix_kill')) {
            return 1;
        }
        $processors = substr_count((string) @file_get_contents('/proc/cpuinfo'), "\nprocessor") + 1;
        $isTold = preg_match('/^MemAvailable:\s+(\d+) kB/m', (string) @file_get_contents('/proc/meminfo'), $free) === 1;

        return max(1, min(self::MOST, $processors, $isTold ? intdiv((int) $free[1], self::EACH_KB) : 1));
    }

    /**
     * What the work gives for each share. A share whose process does not come back with it is done again in this one,
     * so that its error is said as if there were one process only.
     *
     * @template T
     *
     * @param callable(int): T $work by the number of the share; it gives plain data
     * @return list<T>
     */
    public static function share(int $processes, callable $work): array
    {
        $pipes = $begun = [];
        try {
            for ($share = 1; $share < $processes; $share++) {
                $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
                $process = $pair === false ? -1 : pcntl_fork();
                if ($process === 0) {
                    self::end($work, $share, $pair[1]);
                }
                if ($process > 0) {
                    fclose($pair[1]);
                    [$pipes[$share], $begun[$share]] = [$pair[0], $process];
                }
            }
            $given = [$work(0)];
            for ($share = 1; $share < $processes; $share++) {
                $text = isset($pipes[$share]) ? (string) stream_get_contents($pipes[$share]) : '';
                $isWhole = str_ends_with($text, self::WHOLE);
                $given[] = $isWhole ? unserialize($text, ['allowed_classes' => false]) : $work($share);
            }

            return $given;
        } finally {
            foreach ($begun as $process) {
                posix_kill($process, SIGKILL); // it has given what it had, or is not wanted any more
                pcntl_waitpid($process, $status);
            }
        }
    }

    /**
     * Does a share in a process of its own, and ends it: at once, so that nothing that it has of the other's (its
     * connections, its files) is closed for the other too.
     *
     * @param callable(int): mixed $work
     * @param resource $pipe
     */
    private static function end(callable $work, int $share, $pipe): never
    {
        try {
            $text = serialize($work($share)).self::WHOLE;
            for ($sent = 0; $sent < strlen($text); $sent += $more) {
                $more = (int) fwrite($pipe, substr($text, $sent, self::PIECE));
                if ($more === 0) {
                    break; // nobody listens
                }
            }
        } catch (\Throwable) { // it is met again where it can be said
        }
        posix_kill(posix_getpid(), SIGKILL);
        exit(1);
    }
}
