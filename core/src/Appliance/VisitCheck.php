<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

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
     * @param array<string, KindDocument> $parts kinds by part
     *
     * @throws DocumentError
     */
    public static function check(array $d, array $parts): void
    {
        self::doors($d, $parts);
        self::visits($d, $parts);
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
                throw new DocumentError("/doors/$i/id", "Two doors are called \"{$door['id']}\".");
            }
            $taken[$door['id']] = true;
            foreach ($door['covers'] as $j => $part) {
                if (! isset($parts[$part])) {
                    throw new DocumentError("/doors/$i/covers/$j", "There is no part called \"$part\".");
                }
            }
            $levers = isset($door['interlock']) ? ['interlock' => $door['interlock']] : [];
            foreach ($door['through'] ?? [] as $j => $lever) {
                $levers["through/$j"] = $lever;
            }
            foreach ($levers as $at => $lever) {
                [$part, $name] = Model::split($lever);
                if (! isset($parts[$part]['primitives'][$name])) {
                    throw new DocumentError("/doors/$i/$at", "There is no switch, dial or knob called \"$lever\".");
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
                    throw new DocumentError($pointer, "There is no part called \"$part\".");
                }
                if (isset($doing['lever']) && ! isset($parts[$part]['primitives'][$doing['lever']])) {
                    throw new DocumentError($pointer, "There is nothing called \"{$doing['lever']}\" to set on \"$part\".");
                }
                if (isset($doing['reset']) && ($parts[$part]['resets'] ?? []) === []) {
                    throw new DocumentError($pointer, "There is nothing to reset on \"$part\".");
                }
                if (isset($doing['door']) && ! in_array($doing['door'], $doors, true)) {
                    throw new DocumentError($pointer, "There is no door called \"{$doing['door']}\".");
                }
            }
        }
    }
}
