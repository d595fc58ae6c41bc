<?php

declare(strict_types=1);

namespace OddSpark\Senses;

/**
 * What the customer says: statements that are true of what happened before the visit.
 *
 * Each is decided from the record of the household's own time, never from the fault; a layman's
 * words for what he could notice from the rooms.
 */
final class Complaint
{
    /**
     * @param array<string, list<array{int, int, string}>> $heard by channel, over the whole time before the visit
     * @param array{room_f: float, set_f: float, display: string, calling: bool} $found room and set point when the household last took notice, display at the arrival
     * @return list<array{id: string, text: string}>
     */
    public static function of(array $heard, array $found): array
    {
        $blower = $heard['blower.sound'] ?? [];
        $flame = $heard['flame'] ?? [];
        $ran = self::total($blower, ['runs', 'slow']);
        $burned = self::total($flame, ['lit']);
        $fires = count(array_filter($flame, fn ($s) => $s[2] === 'lit'));
        $said = [];
        $say = function (string $id, string $text) use (&$said): void {
            $said[] = ['id' => $id, 'text' => $text];
        };
        if ($found['display'] === 'blank') {
            $say('blank', 'The thermostat is blank.');
        }
        if ($burned === 0) {
            $say('no-heat', 'We have no heat at all.');
        } elseif ($fires >= 3 && $burned / $fires < 420_000) {
            $say('short', 'It comes on, runs for some minutes and quits, over and over.');
        } elseif ($found['calling'] && ($flame[count($flame) - 1][2] ?? '') === '') {
            $say('quit', 'It was heating, then the burner quit.');
        } elseif ($found['room_f'] < $found['set_f'] - 1.5) {
            $say('too-cold', 'It heated for a while, but it does not get warm.');
        } elseif ($found['room_f'] > $found['set_f'] + 2.5) {
            $say('too-warm', 'It does not stop heating.');
        } else {
            $say('works', 'It seems to work just now.');
        }
        if ($ran > $burned + 600_000) {
            $say('fan-always', 'The fan never stops.');
        } elseif ($ran > 0 && $burned === 0) {
            $say('cold-air', 'The fan blows, but the air is cold.');
        } elseif ($ran === 0) {
            $say('no-fan', 'No air comes from the registers.');
        }
        if (self::total($flame, ['gas']) > 0) {
            $say('smell', 'There was a smell of gas for a moment.');
        }
        if (self::total($blower, ['hums']) > 0 || self::total($heard['inducer.sound'] ?? [], ['hums']) > 0) {
            $say('hum', 'Something hums down there.');
        }

        return $said;
    }

    /**
     * @param list<array{int, int, string}> $stretches
     * @param list<string> $values
     */
    private static function total(array $stretches, array $values): int
    {
        $sum = 0;
        foreach ($stretches as [$from, $to, $value]) {
            $sum += in_array($value, $values, true) ? $to - $from : 0;
        }

        return $sum;
    }
}
