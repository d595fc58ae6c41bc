<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Library;
use OddSpark\Drawing\Board;

/** The boards of shipped models, each laid out once for all that look at it. */
final class Boards
{
    /** @var array<string, array<string, mixed>> by model */
    private static array $boards = [];

    /** @return array<string, mixed> as {@see Board::of()} gives it */
    public static function of(string $model): array
    {
        return self::$boards[$model] ??= Board::of((new Library())->model($model));
    }
}
