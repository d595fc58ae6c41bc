<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Household;

/**
 * What the customer answers when asked: true of what happened, as far as a layman takes notice, and of what he does not
 * know, what customers say.
 *
 * @phpstan-import-type RoomKnown from Lived
 */
final class Answers
{
    /**
     * @param list<string> $outside lamps, codes and marks that are seen without opening anything, as they are said
     * @param list<string> $touched what he has done to it, as he says it: "set the thermostat to off"
     * @param int $arrived tick
     * @return array<string, string> by question
     */
    public static function of(
        Household $household,
        Lived $lived,
        array $outside,
        array $touched,
        int $arrived,
    ): array {
        $cools = $household->heat === [] && $household->cool !== [];
        $does = $cools ? 'cool' : 'heat';
        $burns = $lived->stretches($cools ? $household->cool : $household->heat);
        $last = $burns === [] ? null : $burns[count($burns) - 1][1];
        $hours = $last === null ? null : ($arrived - $last) / 3_600_000;

        return [
            'since' => match (true) {
                $hours === null => "Since I first noticed, it has not {$does}ed at all.",
                $hours < 0.05 => "It was {$does}ing until a moment ago.",
                $hours < 1.0 => 'Within the last hour.',
                $hours < 5.0 => 'Some hours.',
                default => 'Most of a day.',
            },
            'display' => self::displays($lived->rooms),
            'outside' => $outside === []
                ? 'I see no light on it.'
                : implode(' ', array_map(fn (string $said): string => ucfirst($said).'.', $outside)),
            'noise' => $lived->total($household->hum) > Complaint::HUM ? 'Something hums.' : 'Nothing out of the way.',
            'smell' => match (true) {
                $lived->total($household->fumes) > Complaint::FUMES => 'Yes, of fumes.',
                $lived->total($household->smell) > 0 => "There was a smell of $household->fuel, for a moment.",
                default => 'No.',
            },
            'rooms' => self::rooms($lived->rooms),
            'touched' => $touched === [] ? 'Nothing. I have not been near it.' : 'I '.implode(', then ', $touched).'.',
            'filter' => $household->hasFilter ? 'Not long ago, I think.' : 'I know of no filter.',
            'work' => 'Not that I know of.',
        ];
    }

    /**
     * How warm it is, room by room, as far as anybody says so.
     *
     * @param list<RoomKnown> $rooms
     */
    private static function rooms(array $rooms): string
    {
        $said = [];
        foreach ($rooms as $room) {
            $how = Complaint::isCold($room) ? 'cold' : (Complaint::isWarm($room) ? 'too warm' : 'as it should be');
            $said[] = trim("{$room['name']} it is $how");
        }

        return $said === [] ? 'It heats no room.' : ucfirst(implode(', ', $said)).'.';
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
}
