<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Household;

/**
 * What the customer says: statements that are true of what happened before the visit.
 *
 * Each is decided from the record of the household's own time, never from the fault; a layman's
 * words for what he could notice from the rooms. What there is to notice, the model's household says.
 *
 * @phpstan-type RoomKnown array{name: string, now: float, wants: float, shows?: string|null, blank: bool, calling: bool}
 */
final class Complaint
{
    /** Degrees by which a room has to miss what is wanted before anybody says so. */
    private const COLD = 1.5;

    private const WARM = 2.5;

    /** Ticks for which warm water lets a boiler rest. */
    private const LATELY = 2_400_000;

    /**
     * @param array<string, list<array{int, int, string}>> $heard by channel, over the whole time before the visit
     * @param list<RoomKnown> $rooms when the household
     *     last took notice
     * @param array{now: float, wants: float}|null $hotWater
     * @return list<array{id: string, text: string}>
     */
    public static function of(Household $household, array $heard, array $rooms, ?array $hotWater): array
    {
        $said = [];
        $say = function (string $id, string $text) use (&$said): void {
            $said[] = ['id' => $id, 'text' => $text];
        };
        $several = count($rooms) > 1;
        foreach ($rooms as $room) {
            if ($room['blank']) {
                $say(
                    'blank'.($several ? ":{$room['name']}" : ''),
                    $several ? "The thermostat {$room['name']} is blank." : 'The thermostat is blank.',
                );
            }
        }
        $burned = self::total($heard, $household->heat);
        $fires = self::times($heard, $household->heat);
        $cold = array_values(array_filter($rooms, fn ($r) => $r['now'] < $r['wants'] - self::COLD));
        $warm = array_values(array_filter($rooms, fn ($r) => $r['now'] > $r['wants'] + self::WARM));
        // of a boiler that comes and goes as its water asks, nobody in the rooms takes notice
        $comesAndGoes = $household->comesAndGoes;
        if ($household->heat === [] || $rooms === []) {
            // it heats no rooms: nobody there has anything to say of them
        } elseif ($burned === 0) {
            $say('no-heat', 'We have no heat at all.');
        } elseif (! $comesAndGoes && $fires >= 3 && $burned / $fires < 420_000 && ($cold !== [] || ! $several)) {
            $say('short', 'It comes on, runs for some minutes and quits, over and over.');
        } elseif (
            array_filter($rooms, fn ($r) => $r['calling']) !== [] &&
            ! self::lastly($heard, $household->heat, $comesAndGoes ? self::LATELY : 0)
        ) {
            $say('quit', 'It was heating, then the burner quit.');
        } elseif ($cold !== [] && count($cold) === count($rooms)) {
            $say('too-cold', 'It heated for a while, but it does not get warm.');
        } elseif ($warm !== [] && count($warm) === count($rooms)) {
            $say('too-warm', 'It does not stop heating.');
        } elseif ($cold === [] && $warm === []) {
            $say('works', 'It seems to work just now.');
        }
        if ($several && ($burned > 0)) {
            foreach (count($cold) < count($rooms) ? $cold : [] as $room) {
                $say("cold:{$room['name']}", "It stays cold {$room['name']}.");
            }
            foreach (count($warm) < count($rooms) ? $warm : [] as $room) {
                $say("warm:{$room['name']}", "It gets too warm {$room['name']}.");
            }
        }
        if ($hotWater !== null && $hotWater['now'] < $hotWater['wants'] * 0.8) {
            $say('no-hot-water', 'There is no hot water.');
        }
        if ($household->air !== null) {
            $ran = self::total($heard, $household->air);
            if ($ran > $burned + 600_000) {
                $say('fan-always', 'The fan never stops.');
            } elseif ($ran > 0 && $burned === 0) {
                $say('cold-air', 'The fan blows, but the air is cold.');
            } elseif ($ran === 0) {
                $say('no-fan', 'No air comes from the registers.');
            }
        }
        if (self::total($heard, $household->smell) > 0) {
            $say('smell', 'There was a smell of gas for a moment.');
        }
        if (self::total($heard, $household->hum) > 0) {
            $say('hum', 'Something hums down there.');
        }

        return $said;
    }

    /**
     * What the customer answers when asked: true of what happened, as far as a layman takes notice, and of
     * what he does not know, what customers say.
     *
     * @param array<string, list<array{int, int, string}>> $heard
     * @param list<RoomKnown> $rooms
     * @param list<string> $outside lamps, codes and marks that are seen without opening anything, as they are said
     * @return array<string, string> by question
     */
    public static function answers(
        Household $household,
        array $heard,
        array $rooms,
        array $outside,
        int $arrived,
    ): array {
        $last = null;
        foreach ($household->heat as $channel => $values) {
            foreach ($heard[$channel] ?? [] as [, $to, $value]) {
                if (in_array($value, $values, true)) {
                    $last = max($last ?? 0, $to);
                }
            }
        }
        $hours = $last === null ? null : ($arrived - $last) / 3_600_000;

        return [
            'since' => match (true) {
                $hours === null => 'Since I first noticed, it has not heated at all.',
                $hours < 0.05 => 'It was heating until a moment ago.',
                $hours < 1.0 => 'Within the last hour.',
                $hours < 5.0 => 'Some hours.',
                default => 'The better part of a day.',
            },
            'display' => self::displays($rooms),
            'outside' => $outside === []
                ? 'It has no light that I can see.'
                : implode(' ', array_map(fn (string $said): string => ucfirst($said).'.', $outside)),
            'noise' => self::total($heard, $household->hum) > 0 ? 'Something hums.' : 'Nothing out of the way.',
            'smell' => self::total($heard, $household->smell) > 0 ? 'There was a smell of gas, for a moment.' : 'No.',
            'filter' => 'Not long ago, I think.',
            'work' => 'Not that I know of.',
        ];
    }

    /**
     * What stands on the thermostats, each by its room where there are several.
     *
     * @param list<RoomKnown> $rooms
     */
    private static function displays(array $rooms): string
    {
        $lit = array_values(array_filter($rooms, fn (array $r): bool => isset($r['shows'])));
        $several = count($rooms) > 1;
        $said = array_map(
            fn (array $r): string => ($several ? "{$r['name']}: " : '').($r['shows'] ?? ''),
            $lit,
        );

        return $said === [] ? 'It has no display.' : ucfirst(implode('; ', $said)).'.';
    }

    /** Answers that a customer gives whatever was so. */
    public const IDLE = ['filter', 'work'];

    /**
     * Ticks for which any of some channels was perceived as one of some values.
     *
     * @param array<string, list<array{int, int, string}>> $heard
     * @param array<string, list<string>> $what
     */
    private static function total(array $heard, array $what): int
    {
        $sum = 0;
        foreach ($what as $channel => $values) {
            foreach ($heard[$channel] ?? [] as [$from, $to, $value]) {
                $sum += in_array($value, $values, true) ? $to - $from : 0;
            }
        }

        return $sum;
    }

    /**
     * @param array<string, list<array{int, int, string}>> $heard
     * @param array<string, list<string>> $what
     */
    private static function times(array $heard, array $what): int
    {
        $times = 0;
        foreach ($what as $channel => $values) {
            $times += count(array_filter($heard[$channel] ?? [], fn ($s) => in_array($s[2], $values, true)));
        }

        return $times;
    }

    /**
     * Whether it was so at the end, or some ticks before.
     *
     * @param array<string, list<array{int, int, string}>> $heard
     * @param array<string, list<string>> $what
     */
    private static function lastly(array $heard, array $what, int $before): bool
    {
        foreach ($what as $channel => $values) {
            $stretches = $heard[$channel] ?? [];
            $end = $stretches === [] ? 0 : $stretches[count($stretches) - 1][1];
            foreach ($stretches as [, $to, $value]) {
                if ($to >= $end - $before && in_array($value, $values, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
