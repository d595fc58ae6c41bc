<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Appliance\FaultMode;
use OddSpark\Appliance\Model;
use OddSpark\Parts\Ability\IsMains;

/** Between which places ohms are read with the supply off, and which wire ends are lifted for it. */
final class FreedEnds
{
    /** @return array{list<array{string, string, string}>, list<list<array{string, string}>>} */
    public static function of(Model $model): array
    {
        $at = $freed = $lifted = [];
        $ground = null;
        foreach ($model->parts() as $part) {
            $ground ??= $part->kind->isGround() ? $part->places()[0] ?? null : null;
        }
        $bare = array_keys(array_filter($model->wireModes(), fn (FaultMode $mode) => $mode->changes('body.rubs_ohm')));
        foreach ($model->wires() as $wire) {
            $at[$wire->from][] = [$wire->id, 'a'];
            $at[$wire->to][] = [$wire->id, 'b'];
        }
        foreach ($model->parts() as $part) {
            $terminals = array_keys($part->kind->terminals);
            if ($part->kind->those(IsMains::class) !== []) {
                continue; // the street is not switched off
            }
            for ($i = 1; $i < count($terminals) && count($terminals) <= 6; $i++) {
                [$a, $b] = ["{$part->id}.{$terminals[0]}", "{$part->id}.{$terminals[$i]}"];
                $freed[] = [$a, $b, $part->id];
                $lifted[] = $at[$b] ?? [];
            }
        }
        foreach ($model->wires() as $wire) {
            $freed[] = ["{$wire->id}.a", "{$wire->id}.b", $wire->id];
            $lifted[] = [[$wire->id, 'a']];
            if (($wire->near ?? $ground) !== null && array_intersect($wire->modes, $bare) !== []) {
                $freed[] = ["{$wire->id}.a", $wire->near ?? $ground, $wire->id]; // whether it has rubbed through
                $lifted[] = [[$wire->id, 'a'], [$wire->id, 'b']];
            }
        }

        return [$freed, $lifted];
    }
}
