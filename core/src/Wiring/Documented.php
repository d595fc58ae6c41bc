<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Ability\StandsAsSet;
use OddSpark\Parts\Role;
use OddSpark\Parts\Wired;

/**
 * The wiring as the drawing has it: what is joined, what switches, loads and feeds.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-import-type Supply from Nets
 */
final class Documented
{
    /** @var list<array{string, string, string|null}> places that are one conductor, and by which wire */
    public array $joints = [];

    /** @var list<Element> */
    public array $elements = [];

    /** @var list<Supply> */
    public array $supplies = [];

    /** @var list<array{part: string, place: string}> */
    public array $grounds = [];

    /**
     * @param list<string> $fitted parts to which something was led that the drawing does not have
     * @param list<string> $off parts that were taken off
     */
    public function __construct(private readonly Model $model, array $fitted, array $off)
    {
        foreach ($this->model->wires() as $wire) {
            $this->joints[] = [$wire->from, $wire->to, $wire->id];
        }
        foreach ($this->model->joined() as $group) {
            foreach (array_slice($group, 1) as $place) {
                $this->joints[] = [$group[0], $place, null];
            }
        }
        foreach ($this->model->parts() as $part) {
            $isAway = $part->inVan && ! in_array($part->id, $fitted, true);
            if ($isAway || in_array($part->id, $off, true)) {
                continue;
            }
            foreach ($part->kind->joined as $group) {
                foreach (array_slice($group, 1) as $terminal) {
                    $this->joints[] = ["$part->id.$group[0]", "$part->id.$terminal", null];
                }
            }
            foreach ($part->specs() as $spec) {
                foreach ($spec->wiring() as $wired) {
                    $this->put($part, $spec, $wired);
                }
            }
        }
    }

    private function put(Part $part, Spec $spec, Wired $wired): void
    {
        [$a, $b] = ["$part->id.$wired->a", "$part->id.$wired->b"];
        if ($wired->role === Role::Switch && $this->isMadeUp($part, $spec)) {
            if ($spec->get('when') === $part->spec((string) $spec->follows())?->get('at')) {
                $this->joints[] = [$a, $b, null];
            }

            return;
        }
        match ($wired->role) {
            Role::Joint => ($this->joints[] = [$a, $b, null]),
            Role::Load, Role::Switch => ($this->elements[] = [
                'part' => $part->id,
                'name' => $spec->name,
                'a' => $a,
                'b' => $b,
                'load' => $wired->role === Role::Load,
            ]),
            Role::Supply => ($this->supplies[] = [
                'title' => "$part->label: $wired->title",
                'class' => $wired->class,
                'volts' => $wired->volts,
                'hot' => $a,
                'return' => $b,
                'part' => $part->id,
                'name' => $spec->name,
            ]),
            Role::Ground => ($this->grounds[] = ['part' => $part->id, 'place' => $a]),
        };
    }

    /** Whether a switch is nobody's, but how the part was made up: as documented it is joined or it is not there. */
    private function isMadeUp(Part $part, Spec $spec): bool
    {
        $follows = $spec->follows();

        return $follows !== null &&
            ! isset($part->kind->settings[$follows]) &&
            ! $this->model->doors()->isInterlock("$part->id.$follows") &&
            ($part->kind->primitives[$follows] ?? null)?->can(StandsAsSet::class) === true;
    }
}
