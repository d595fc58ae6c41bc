<?php

declare(strict_types=1);

namespace OddSpark\Words;

/**
 * What the code says to people: texts by key from the catalogues in core/words, one file for each room of the core. A
 * text is an ICU message pattern (unicode-org.github.io/icu/userguide/format_parse/messages). Another language needs
 * only what it says otherwise; the rest is American English.
 *
 * What is computed and compared (what was seen, answers, refusals that are kept) is always said in American English, so
 * that a call can be marked in whatever language it was worked: only what is written for a reader is put in `in()`.
 */
final class Words
{
    public const AMERICAN = 'en-US';

    public const BRITISH = 'en-GB';

    private static string $language = self::AMERICAN;

    /** @var array<string, array<string, string>> texts by key, by "language/room" */
    private static array $texts = [];

    /** Letters that a text has of its own, beside its values, before it is known again by them. Ours. */
    private const TELLING = 8;

    /** @var array{whole: array<string, string>, "with values": array<string, string>}|null */
    private static ?array $known = null;

    /** @var array<string, \MessageFormatter> by "language pattern" */
    private static array $formatters = [];

    /**
     * @param string $key "room.what.first_words"; the room names the file
     * @param array<string, string|int|float> $values by name; a number is written as PHP writes it
     *
     * @throws \LogicException if there is no such text, or a value of it is missing
     */
    public static function say(string $key, array $values = []): string
    {
        [$language, $text] = self::text($key);
        if ($values === [] && ! str_contains($text, '{')) {
            return $text;
        }
        $formatter = self::$formatters["$language $text"] ??= new \MessageFormatter($language, $text);
        $said = $formatter->format(
            str_contains($text, ', plural,') ? $values : array_map(strval(...), $values), // 1086, and not 1,086
        );
        if ($said === false) {
            throw new \LogicException("\"$key\" cannot be said: ".$formatter->getErrorMessage());
        }

        return $said;
    }

    /** The American text, whoever reads it: for what is known again by its words, as a finding that was put aside. */
    public static function plain(string $key): string
    {
        return self::in(self::AMERICAN, fn (): string => self::say($key));
    }

    /** Whether there is such a text: for keys of which a part is a name, such as an act's. */
    public static function has(string $key): bool
    {
        return isset(self::room(self::AMERICAN, strtok($key, '.') ?: '')[$key]);
    }

    /**
     * Texts of one sort by what each is for.
     *
     * @param list<string> $ids
     * @return array<string, string>
     */
    public static function each(string $sort, array $ids): array
    {
        return array_combine($ids, array_map(fn (string $id): string => self::say("$sort.$id"), $ids));
    }

    /**
     * Says in this language what is said meanwhile; what is not known is American English.
     *
     * @template T
     *
     * @param callable(): T $do
     * @return T
     */
    public static function in(string $language, callable $do): mixed
    {
        $before = self::$language;
        self::$language = in_array($language, self::languages(), true) ? $language : self::AMERICAN;
        try {
            return $do();
        } finally {
            self::$language = $before;
        }
    }

    public static function language(): string
    {
        return self::$language;
    }

    /** @return list<string> languages that have a catalogue */
    public static function languages(): array
    {
        static $known = null;

        return $known ??= array_map(basename(...), glob(self::folder().'/*', GLOB_ONLYDIR) ?: []);
    }

    /**
     * What was kept in American English, in the language of whoever reads it: a text that is known again, by its words
     * or by those between its values; the rest stays as it was said.
     */
    public static function again(string $said): string
    {
        if (self::$language === self::AMERICAN || $said === '') {
            return $said;
        }
        self::$known ??= self::known();
        if (isset(self::$known['whole'][$said])) {
            return self::say(self::$known['whole'][$said]);
        }
        foreach (self::$known['with values'] as $key => $pattern) {
            if (preg_match($pattern, $said, $found) === 1) {
                $values = array_filter($found, is_string(...), ARRAY_FILTER_USE_KEY);

                return self::say($key, array_map(self::again(...), $values));
            }
        }

        return $said;
    }

    /** @return array{whole: array<string, string>, "with values": array<string, string>} keys; patterns by key */
    private static function known(): array
    {
        $known = ['whole' => [], 'with values' => []];
        $letters = [];
        foreach (glob(self::folder().'/'.self::AMERICAN.'/*.php') ?: [] as $file) {
            foreach (require $file as $key => $text) {
                if (! str_contains($text, '{')) {
                    $known['whole'][$text] ??= $key;

                    continue;
                }
                $bits = preg_split('/\{(\w+)\}/', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
                $pattern = $own = '';
                foreach ($bits as $i => $bit) {
                    $pattern .= $i % 2 === 0 ? preg_quote($bit, '/') : "(?<$bit>.+)";
                    $own .= $i % 2 === 0 ? $bit : '';
                }
                if (strlen($own) >= self::TELLING) {
                    $known['with values'][$key] = "/^$pattern\$/us";
                    $letters[$key] = strlen($own);
                }
            }
        }
        arsort($letters); // the one that says most by itself is asked first

        return ['with values' => array_replace($letters, $known['with values'])] + $known;
    }

    /** @return array{string, string} the language that has it, and the text */
    private static function text(string $key): array
    {
        $room = strtok($key, '.') ?: '';
        foreach ([self::$language, self::AMERICAN] as $language) {
            $text = self::room($language, $room)[$key] ?? null;
            if ($text !== null) {
                return [$language, $text];
            }
        }
        throw new \LogicException("There is no text \"$key\".");
    }

    /** @return array<string, string> texts by key */
    private static function room(string $language, string $room): array
    {
        return self::$texts["$language/$room"] ??= is_file($file = self::folder()."/$language/$room.php")
            ? require $file
            : [];
    }

    private static function folder(): string
    {
        return __DIR__.'/../../words';
    }
}
