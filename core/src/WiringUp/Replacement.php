<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Wire;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\Trial;
use OddSpark\Words\Words;

/**
 * A control of another make, made from one that there is: the same kind with its terminals on two plugs, one of its
 * times on an option switch, and a lead that not every appliance has use for.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final class Replacement
{
    /** What its lever is called among its primitives. */
    public const OPTION = 'option';

    /** What its lead is called that not every appliance has use for. */
    public const SPARE = 'spare';

    private const SPARE_LEAD = 'spare_lead';

    /** Of a lead within a control, as shipped kinds have it. */
    private const LEAD_OHM = 0.02;

    /** Primitives that another make has beside those of the old one. */
    public const ADDED = [self::OPTION => true, self::SPARE_LEAD => true];

    /** Times of a table beside the right one: shares of it. The first is how it leaves the factory. */
    private const TIMES = [2.0, 1.0, 0.5];

    /**
     * What line volts go to is on a plug of its own, in letters and pins.
     *
     * @return array<string, string> new terminal by old: "A3"
     */
    public static function names(Model $old, Part $part, int $seed): array
    {
        $line = Task::wiresOfLine($old);
        $plugs = ['A' => [], 'B' => []];
        foreach (array_keys($part->kind->terminals) as $terminal) {
            $wires = array_filter(
                $old->wires(),
                fn (Wire $w): bool => in_array("$part->id.$terminal", [$w->from, $w->to], true),
            );
            $plugs[array_intersect_key($wires, $line) === [] ? 'B' : 'A'][] = (string) $terminal;
        }
        $names = [];
        foreach ($plugs as $letter => $terminals) {
            usort($terminals, fn (string $x, string $y): int => crc32("$seed/$x") <=> crc32("$seed/$y"));
            foreach ($terminals as $i => $terminal) {
                $names[$terminal] = $letter.($i + 1);
            }
        }

        return $names;
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
        $old = array_flip($names);
        foreach (self::inOrder($names) as $i => $is) { // in the order of their pins round the board
            $terminals[$is] = ['at' => $places[$i]] + $kind['terminals'][$old[$is]];
        }
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
     * @param array<string> $names
     * @return list<string> by plug, and by pin
     */
    public static function inOrder(array $names): array
    {
        natsort($names);

        return array_values($names);
    }

    /**
     * With one lead more than this appliance has use for: it carries what feeds the control, and ends bare.
     *
     * @param KindDocument $kind
     * @return KindDocument|null null where what feeds it is not told by volts
     */
    public static function withSpareLead(array $kind): ?array
    {
        $control = self::deciding($kind);
        $primitive = $kind['primitives'][$control];
        $fed = $primitive['inputs'][$primitive['table']['supply'] ?? '']['ac'][0] ?? null;
        if ($fed === null) {
            return null;
        }
        $kind['terminals'][self::SPARE] = ['at' => self::free($kind)];
        $kind['primitives'][self::SPARE_LEAD] = [
            'type' => 'resistor', 'between' => [$fed, self::SPARE], 'ohm' => self::LEAD_OHM,
        ];

        return $kind;
    }

    /**
     * @param KindDocument $kind
     * @return array{int|float, int|float} where most room is along its lower edge
     */
    private static function free(array $kind): array
    {
        [$w, $h] = $kind['size'];
        $taken = [0, $w];
        foreach ($kind['terminals'] as $terminal) {
            if ($terminal['at'][1] >= $h) {
                $taken[] = $terminal['at'][0];
            }
        }
        sort($taken);
        $best = [0, 0];
        foreach (array_slice($taken, 1) as $i => $to) {
            if ($to - $taken[$i] > $best[1] - $best[0]) {
                $best = [$taken[$i], $to];
            }
        }

        return [intdiv((int) ($best[0] + $best[1]), 2), $h];
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

    /**
     * A time of the control's table that shows when it is another: in the long visit, else in what is tried; null where
     * none does.
     */
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
            $slower[(string) $time] = new Model($document);
        }
        $judge = new Judge(Compiler::compile($old), $visit);

        return array_key_first(array_filter($slower ?? [], fn (Model $m): bool => ! $judge->of($m)->isRight()));
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

    /**
     * @param KindDocument $kind
     * @return string that of its primitives which decides
     */
    public static function deciding(array $kind): string
    {
        foreach ($kind['primitives'] as $name => $primitive) {
            if (isset($primitive['table'])) {
                return (string) $name;
            }
        }
        throw new \LogicException('a control without a table');
    }
}
