<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Acts\Repairs\StandIns;
use OddSpark\Appliance\Model;
use OddSpark\Run\BenchState;

/** What is left behind when a call is closed, and would be a danger or a nuisance there: ids of {@see Danger}. */
final readonly class Leaving
{
    /** @return list<string> */
    public function behind(Situation $now): array
    {
        $state = $now->state;
        $lifted = array_filter(
            array_keys($now->model->wires()),
            fn (string $wire): bool => (! $state->isLanded("$wire.a") || ! $state->isLanded("$wire.b")) &&
                ! StandIns::has($now->model, $state, $wire),
        );
        $jumpers = array_filter(
            [...$state->jumpers, ...$state->earlier],
            fn (array $j): bool => $now->model->wire(Model::split($j[0])[0]) === null &&
                ! in_array($j, $state->wired, true),
        );
        $off = array_filter(
            array_map(strval(...), array_keys($state->off)),
            fn (string $part): bool => ! StandIns::has($now->model, $state, $part),
        );

        return array_keys(array_filter([
            'door-switch-held' => $state->held !== [],
            'door-open' => $state->isAnyDoorOpen(),
            'wire-lifted' => array_diff($this->endsOf($lifted, $state), ...array_values($state->off)) !== [],
            'part-off' => $off !== [],
            'head-off' => $state->heads !== [],
            'jumper-left' => $jumpers !== [],
            'over-fused' => $this->isOverFused($now),
            'flue-left' => $this->stands($now, 'pipe', 'aside'),
            'filter-left' => $this->stands($now, 'slide', 'out'),
            // made safe, tagged and told is an ending of its own
            'setting-left' => $this->isSetOtherwise($now),
            'power-off' => $this->isSwitchedOff($now) && ! $this->isTaggedOut($state),
            'lock-left' => $state->locked !== [] && ! $this->isTaggedOut($state),
            'tag-unsaid' => $state->tagged && ! in_array('unsafe', $state->told, true),
        ]));
    }

    /**
     * Ends of some wires that are off their terminals.
     *
     * @param array<string> $wires
     * @return list<string>
     */
    private function endsOf(array $wires, BenchState $state): array
    {
        $ends = [];
        foreach ($wires as $wire) {
            foreach (['a', 'b'] as $end) {
                if (! $state->isLanded("$wire.$end")) {
                    $ends[] = "$wire.$end";
                }
            }
        }

        return $ends;
    }

    /** Whether a thermostat stands otherwise than the household has it. */
    private function isSetOtherwise(Situation $now): bool
    {
        // what the fault itself has moved is a fault that was left, and no setting
        $own = array_filter(
            $now->state->wanted,
            fn (string $lever): bool => ! isset($now->fault->set["$lever.at"]),
            ARRAY_FILTER_USE_KEY,
        );
        foreach ($own as $lever => $at) {
            $is = $now->state->at($lever);
            if (is_numeric($at) && is_numeric($is) ? $at != $is : $at !== $is) {
                return true;
            }
        }

        return false;
    }

    /** Whether it was made safe and tagged, and the customer knows. */
    private function isTaggedOut(BenchState $state): bool
    {
        return $state->tagged && in_array('unsafe', $state->told, true);
    }

    /** Whether a lever of some name stands somewhere at a position. */
    private function stands(Situation $now, string $lever, string $at): bool
    {
        foreach (array_keys($now->model->parts()) as $part) {
            if ($now->state->at("$part.$lever") === $at) {
                return true;
            }
        }

        return false;
    }

    private function isOverFused(Situation $now): bool
    {
        foreach ($now->state->fitted as $path => $value) {
            $part = implode('.', array_slice(explode('.', $path), 0, -2));
            if (str_ends_with($path, '.amps') && $value > ($now->model->kindOf($part)?->ratedAmps() ?? INF)) {
                return true;
            }
        }

        return false;
    }

    /** Whether any breaker or switch of the supply stands at off. */
    private function isSwitchedOff(Situation $now): bool
    {
        foreach ($now->model->parts() as $part) {
            foreach ($part->kind->isSupply() ? array_keys($part->kind->settings) : [] as $lever) {
                if ($now->state->at("$part->id.$lever") === 'off') {
                    return true;
                }
            }
        }

        return false;
    }
}
