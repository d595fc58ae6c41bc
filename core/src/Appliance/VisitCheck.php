<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * Whether the doors of a document, and what people do before its visits, name what is there.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 */
final class VisitCheck
{
    /**
     * @param ModelDocument $d a resolved model document
     *
     * @throws DocumentError
     */
    public static function check(array $d): void
    {
        $parts = [];
        $channels = array_fill_keys(array_map('strval', array_keys($d['percepts'] ?? [])), true);
        foreach ($d['parts'] as $part) {
            $parts[$part['id']] = $d['kinds'][$part['kind']];
            foreach (array_keys($parts[$part['id']]['percepts'] ?? []) as $name) {
                $channels["{$part['id']}.$name"] = true;
            }
        }
        self::doors($d, $parts);
        self::visits($d, $parts);
        self::channels($d, $channels);
    }

    /**
     * What is seen and heard, wherever it is named.
     *
     * @param ModelDocument $d
     * @param array<string, true> $channels that there are
     */
    private static function channels(array $d, array $channels): void
    {
        $named = [];
        foreach ($d['visits'] as $name => $visit) {
            $named["/visits/$name/arrives/unlike"] = array_keys($visit['arrives']['unlike'] ?? []);
        }
        foreach (['heat', 'cool', 'cycle', 'air', 'hum', 'smell', 'fumes'] as $what) {
            $named["/household/$what"] = array_keys($d['household'][$what] ?? []);
        }
        $named['/tape'] = array_column($d['tape'], 'channel');
        foreach ($named as $pointer => $list) {
            foreach ($list as $channel) {
                if (! isset($channels[$channel])) {
                    throw new DocumentError($pointer, Words::say('appliance.visit_check.there_is_nothing_called_to', [
                        'channel' => $channel,
                    ]));
                }
            }
        }
    }

    /**
     * @param ModelDocument $d
     * @param array<string, KindDocument> $parts kinds by part
     */
    private static function doors(array $d, array $parts): void
    {
        $taken = [];
        foreach ($d['doors'] ?? [] as $i => $door) {
            if (isset($taken[$door['id']])) {
                throw new DocumentError("/doors/$i/id", Words::say('appliance.visit_check.two_doors_are_called', [
                    'id' => $door['id'],
                ]));
            }
            $taken[$door['id']] = true;
            foreach ($door['covers'] as $j => $part) {
                if (! isset($parts[$part])) {
                    throw new DocumentError(
                        "/doors/$i/covers/$j",
                        Words::say('appliance.visit_check.there_is_no_part_called', [
                            'part' => $part,
                        ]),
                    );
                }
            }
            $levers = isset($door['interlock']) ? ['interlock' => $door['interlock']] : [];
            foreach ($door['through'] ?? [] as $j => $lever) {
                $levers["through/$j"] = $lever;
            }
            foreach ($levers as $at => $lever) {
                [$part, $name] = Model::split($lever);
                if (! isset($parts[$part]['primitives'][$name])) {
                    throw new DocumentError(
                        "/doors/$i/$at",
                        Words::say('appliance.visit_check.there_is_no_switch_dial', [
                            'lever' => $lever,
                        ]),
                    );
                }
            }
        }
    }

    /**
     * @param ModelDocument $d
     * @param array<string, KindDocument> $parts kinds by part
     */
    private static function visits(array $d, array $parts): void
    {
        $doors = array_column($d['doors'] ?? [], 'id');
        foreach ($d['visits'] as $name => $visit) {
            foreach ($visit['household'] as $i => $doing) {
                $pointer = "/visits/$name/household/$i";
                $part = $doing['part'] ?? $doing['reset'] ?? null;
                if ($part !== null && ! isset($parts[$part])) {
                    throw new DocumentError($pointer, Words::say('appliance.visit_check.there_is_no_part_called', [
                        'part' => $part,
                    ]));
                }
                $lever = isset($doing['lever']) ? $parts[$part]['primitives'][$doing['lever']] ?? null : null;
                if (isset($lever['positions']) && ! in_array($doing['to'] ?? null, $lever['positions'], true)) {
                    throw new DocumentError(
                        "$pointer/to",
                        Words::say('appliance.visit_check.it_can_be_set_to', [
                            'positions' => implode(', ', $lever['positions']),
                        ]),
                    );
                }
                if (isset($doing['lever']) && $lever === null) {
                    throw new DocumentError(
                        $pointer,
                        Words::say('appliance.visit_check.there_is_nothing_called_to_set', [
                            'lever' => $doing['lever'],
                            'part' => $part,
                        ]),
                    );
                }
                if (isset($doing['reset']) && ($parts[$part]['resets'] ?? []) === []) {
                    throw new DocumentError($pointer, Words::say('appliance.visit_check.there_is_nothing_to_reset', [
                        'part' => $part,
                    ]));
                }
                if (isset($doing['door']) && ! in_array($doing['door'], $doors, true)) {
                    throw new DocumentError($pointer, Words::say('appliance.visit_check.there_is_no_door_called', [
                        'door' => $doing['door'],
                    ]));
                }
            }
        }
    }
}
