<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Household;
use OddSpark\Words\Words;

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
                $hours === null => Words::say('senses.answers.since_i_first_noticed_it', ['does' => $does]),
                $hours < 0.05 => Words::say('senses.answers.it_was_ing_until_a', ['does' => $does]),
                $hours < 1.0 => Words::say('senses.answers.within_the_last_hour'),
                $hours < 5.0 => Words::say('senses.answers.some_hours'),
                default => Words::say('senses.answers.most_of_a_day'),
            },
            'display' => self::displays($lived->rooms),
            'outside' => $outside === []
                ? Words::say('senses.answers.i_see_no_light_on')
                : implode(' ', array_map(fn (string $said): string => ucfirst($said).'.', $outside)),
            'noise' => $lived->total($household->hum) > Complaint::HUM
                ? Words::say('senses.answers.something_hums')
                : Words::say('senses.answers.nothing_out_of_the_way'),
            'smell' => match (true) {
                $lived->total($household->fumes) > Complaint::FUMES => Words::say('senses.answers.yes_of_fumes'),
                $lived->total($household->smell) > 0 => Words::say('senses.answers.there_was_a_smell_of', [
                    'fuel' => $household->fuel,
                ]),
                default => Words::say('senses.answers.no'),
            },
            'rooms' => self::rooms($lived->rooms),
            'touched' => $touched === []
                ? Words::say('senses.answers.nothing_i_have_not_been')
                : 'I '.implode(', then ', $touched).'.',
            'filter' => $household->hasFilter
                ? Words::say('senses.answers.not_long_ago_i_think')
                : Words::say('senses.answers.i_know_of_no_filter'),
            'work' => Words::say('senses.answers.not_that_i_know_of'),
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
            $how = match (true) {
                Complaint::isCold($room) => Words::say('senses.answers.cold'),
                Complaint::isWarm($room) => Words::say('senses.answers.too_warm'),
                default => Words::say('senses.answers.as_it_should_be'),
            };
            $said[] = trim(Words::say('senses.answers.it_is', ['room' => $room['name'], 'how' => $how]));
        }

        return $said === [] ? Words::say('senses.answers.it_heats_no_room') : ucfirst(implode(', ', $said)).'.';
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

        return $said === [] ? Words::say('senses.answers.it_has_no_display') : ucfirst(implode('; ', $said)).'.';
    }
}
