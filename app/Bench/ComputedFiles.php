<?php

namespace App\Bench;

use App\Models\Assignment;

/** What was computed and can be computed again, kept as files of this machine. */
class ComputedFiles
{
    /** Where something is kept, under a name that changes with the code that computed it. */
    public static function named(string $name): string
    {
        return storage_path('framework/cache/'.config('spark.build').'-'.Assignment::ENGINE."-$name");
    }

    /** Whole or not at all, also with others at it. */
    public static function write(string $file, string $text): void
    {
        $new = $file.'.'.getmypid();
        try {
            (file_put_contents($new, $text) === strlen($text) && rename($new, $file)) ||
                throw new \RuntimeException('No space left on device');
        } finally {
            is_file($new) && unlink($new);
        }
    }

    /** Lets go of those of a name that nobody has written for so long. */
    public static function forget(string $name, int $seconds): void
    {
        foreach (glob(storage_path("framework/cache/*-$name")) ?: [] as $file) {
            if (is_file($file) && filemtime($file) < time() - $seconds) {
                @unlink($file);
            }
        }
    }
}
