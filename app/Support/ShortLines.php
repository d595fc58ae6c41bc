<?php

namespace App\Support;

use Monolog\Formatter\LineFormatter;
use Monolog\LogRecord;
use Throwable;

/**
 * One line for each record, cut: whatever somebody sends, a log stays small, and no secret of a request gets into it.
 */
class ShortLines extends LineFormatter
{
    private const MESSAGE = 1000;

    private const FRAMES = 8;

    public function __construct()
    {
        parent::__construct("[%datetime%] %level_name%: %message% %context%\n", 'Y-m-d H:i:s', false, true);
    }

    public function format(LogRecord $record): string
    {
        $context = $record->context;
        $e = $context['exception'] ?? null;
        unset($context['exception']);
        $line =
            '['.
            $record->datetime->format('Y-m-d H:i:s').
            '] '.
            $record->level->getName().
            ': '.
            self::cut($record->message, self::MESSAGE);
        if ($context !== []) {
            $line .=
                ' '.
                self::cut(
                    (string) json_encode(
                        $context,
                        JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
                    ),
                    self::MESSAGE,
                );
        }
        if ($e instanceof Throwable) {
            $frames = array_map(
                fn (array $f) => basename($f['file'] ?? '?').':'.($f['line'] ?? 0),
                array_slice($e->getTrace(), 0, self::FRAMES),
            );
            $line .=
                ' | '.
                get_class($e).
                ' in '.
                basename($e->getFile()).
                ':'.
                $e->getLine().
                ' < '.
                implode(' < ', $frames);
        }

        return $line."\n";
    }

    private static function cut(string $text, int $most): string
    {
        $text = strtr(mb_scrub($text), ["\n" => ' ', "\r" => ' ']);

        return mb_strlen($text) <= $most ? $text : mb_substr($text, 0, $most).'… ('.strlen($text).' bytes)';
    }
}
