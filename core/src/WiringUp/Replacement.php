<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\Trial;
use OddSpark\Words\Words;

/**
 * A control of another make, made from one that there is: the same kind with its terminals numbered anew, and one of
 * its times on an option switch.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final class Replacement
{
    /** What its lever is called among its primitives. */
    public const OPTION = 'option';

    /** Times of a table beside the right one: shares of it. The first is how it leaves the factory. */
    private const TIMES = [2.0, 1.0, 0.5];

    /** @return array<string, string> new terminal by old */
    public static function names(Part $part, int $seed): array
    {
        $terminals = array_map(strval(...), array_keys($part->kind->terminals));
        $numbers = array_map(strval(...), range(1, count($terminals)));
        usort($numbers, fn (string $x, string $y): int => crc32("$seed/$x") <=> crc32("$seed/$y"));

        return array_combine($terminals, $numbers);
    }

    /**
     * @param KindDocument $kind
     * @param array<string, string> $names
     * @return KindDocument
     */
    public static function renamed(array $kind, array $names): array
    {
        $places = array_column($kind['terminals'], 'at');
        $terminals = [];
        foreach ($kind['terminals'] as $was => $terminal) { // in the order of their numbers round the board
            $terminals[$names[$was]] = ['at' => $places[(int) $names[$was] - 1]] + $terminal;
        }
        ksort($terminals);
        $kind['terminals'] = $terminals;
        $kind['title'] = Words::say('wiring_up.replacement.title');
        foreach ($kind['primitives'] as $name => $primitive) {
            $table = $primitive['table'] ?? null;
            unset($primitive['table']);
            $kind['primitives'][$name] = self::placed($primitive, $names) + ($table === null ? [] : ['table' => $table]);
        }
        foreach (array_intersect(['joined', 'references'], array_keys($kind)) as $key) {
            $kind[$key] = self::placed($kind[$key], $names);
        }
        foreach ($kind['ports'] ?? [] as $name => $port) {
            $kind['ports'][$name] = self::placed($port, array_diff_key($names, ['in' => 1, 'out' => 1]));
        }

        return $kind;
    }

    /**
     * @template T of array
     * @param T $in
     * @param array<string, string> $names
     * @return T with every text that is one of the names as the other
     */
    public static function placed(array $in, array $names): array
    {
        array_walk_recursive($in, function (mixed &$value) use ($names): void {
            $value = is_string($value) ? $names[$value] ?? $value : $value;
        });

        return $in;
    }

    /** A time of the control's table that shows when it is another; null where none does. */
    public static function timeThatShows(Model $old, Part $part, string $visit): ?string
    {
        $control = array_key_first($part->kind->those(Decides::class));
        $loads = Loads::of(Compiler::compile($old));
        $trial = new Trial($old);
        $sound = (new Rehearsal(Compiler::compile($old), $loads, $trial, $visit))->visit;
        $kind = $part->kind->name;
        foreach (array_reverse(array_keys($part->kind->primitives[$control]->get('table')['times'])) as $time) {
            $document = $old->document;
            $document['kinds'][$kind]['primitives'][$control]['table']['times'][$time] *= self::TIMES[0];
            $plan = Compiler::compile(new Model($document));
            $other = (new Rehearsal($plan, $loads, $trial, $visit))->visit;
            foreach ($loads->ids() as $id) {
                if ($sound->parts($other, $id) !== null) {
                    return (string) $time;
                }
            }
        }

        return null;
    }

    /**
     * One of its times by a switch: each of its positions counts another.
     *
     * @param KindDocument $kind
     * @return array{KindDocument, string, string} the kind, the right position, that of the factory
     */
    public static function withOption(array $kind, string $time): array
    {
        $control = self::deciding($kind);
        $table = $kind['primitives'][$control]['table'];
        $positions = [];
        foreach (self::TIMES as $i => $share) {
            $seconds = round($share * $table['times'][$time], 1);
            $positions[$i] = "$seconds s";
            $table['times']["{$time}_option_$i"] = $seconds;
            $kind['primitives'][$control]['inputs']["option_$i"] = [
                'by' => self::OPTION, 'key' => 'at', 'when' => $positions[$i],
            ];
        }
        foreach ($table['states'] as $state => $is) {
            $guards = [];
            foreach ($is['guards'] ?? [] as $guard) {
                foreach (($guard['after'] ?? null) === $time ? array_keys(self::TIMES) : [null] as $i) {
                    $guards[] = $i === null ? $guard : [
                        'if' => ($guard['if'] ?? []) + ["option_$i" => true],
                        'after' => "{$time}_option_$i",
                    ] + $guard;
                }
            }
            $table['states'][$state]['guards'] = $guards;
        }
        $kind['primitives'][$control]['table'] = $table;
        $kind['primitives'][self::OPTION] = ['type' => 'lever', 'positions' => $positions, 'at' => $positions[1]];
        $kind['controls'][self::OPTION] = ['label' => Words::say('wiring_up.replacement.option', ['time' => self::words($time)]), 'minutes' => 0.5];

        return [$kind, $positions[1], $positions[0]];
    }

    /** @return list<string> its times, as they are printed on it */
    public static function card(Part $part): array
    {
        $control = array_key_first($part->kind->those(Decides::class));
        $times = $part->kind->primitives[$control]->get('table')['times'];

        return array_map(
            fn (string $time, int|float $seconds): string => self::words($time).": $seconds s",
            array_keys($times),
            array_values($times),
        );
    }

    private static function words(string $time): string
    {
        return str_replace('_', ' ', (string) preg_replace('/_s$/', '', $time));
    }

    /** @param KindDocument $kind */
    private static function deciding(array $kind): string
    {
        foreach ($kind['primitives'] as $name => $primitive) {
            if (isset($primitive['table'])) {
                return (string) $name;
            }
        }
        throw new \LogicException('a control without a table');
    }
}
