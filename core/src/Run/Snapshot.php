<?php

declare(strict_types=1);

namespace OddSpark\Run;

/** A state as text and back, to the bit: a float stays a float, and keeps all its digits. */
final class Snapshot
{
    /** @param array<string, mixed> $state plain data */
    public static function pack(array $state): string
    {
        return json_encode(
            $state,
            JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return array<string, mixed> */
    public static function unpack(string $text): array
    {
        return json_decode($text, true, 32, JSON_THROW_ON_ERROR);
    }
}
