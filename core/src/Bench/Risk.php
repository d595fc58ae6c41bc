<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Run\Machine;

/** What an act would have done to a person or a house in life, seen from the appliance as it stands. */
final readonly class Risk
{
    /** From here on a shock. */
    private const LIVE_V = 50.0;

    public function __construct(private Plan $plan) {}

    /**
     * @param array<string, mixed> $state before the act
     * @return list<string> ids of {@see Danger}
     */
    public function of(Machine $machine, array $state, Act $act): array
    {
        return match ($act->name) {
            'lift', 'land', 'mend' => $this->hands($machine, $state, $act),
            'reset' => $this->reset($state, $act->get('part')),
            'hand_back' => $this->leaving($state),
            default => [],
        };
    }

    /**
     * @param array<string, mixed> $state
     * @return list<string>
     */
    private function hands(Machine $machine, array $state, Act $act): array
    {
        if ($act->get('how') === 'clear') {
            return [];
        }
        $owner = $act->get('part') ?? Model::split($act->get('end'))[0];
        $solution = $machine->solution($state);
        foreach ($this->plan->places as $place => $node) {
            if (str_starts_with($place, "$owner.") && $solution->acVolts($node, 0) > self::LIVE_V) {
                return ['live-work'];
            }
        }
        foreach ($this->plan->primitives as $id => $entry) {
            if ($entry['type'] === 'run-capacitor' && $state['slots'][$id]['charge'] > self::LIVE_V && $this->isAt($owner, Model::split($id)[0])) {
                return ['charged-capacitor'];
            }
        }

        return [];
    }

    /** Whether a part is the one in hand, or the wire in hand goes to it. */
    private function isAt(string $owner, string $part): bool
    {
        $wire = $this->plan->model->wires()[$owner] ?? null;

        return $owner === $part || $wire !== null && in_array($part, [Model::split($wire['from'])[0], Model::split($wire['to'])[0]], true);
    }

    /**
     * @param array<string, mixed> $state
     * @return list<string>
     */
    private function reset(array $state, string $part): array
    {
        $kind = $this->plan->model->kindOf($part);
        foreach ($kind['family'] === 'rollout' ? array_keys($kind['resets']) : [] as $name) {
            if ($state['slots']["$part.$name"]['latched']) {
                return ['rollout-reset'];
            }
        }

        return [];
    }

    /**
     * @param array<string, mixed> $state
     * @return list<string>
     */
    private function leaving(array $state): array
    {
        $lifted = array_filter(
            array_keys($this->plan->model->wires()),
            fn (string $wire) => ! $state['slots']["$wire.body"]['a'] || ! $state['slots']["$wire.body"]['b'],
        );

        return array_keys(array_filter([
            'door-switch-held' => $state['held'],
            'door-open' => $state['door'] === 'open',
            'wire-lifted' => $lifted !== [],
            'power-off' => $this->isSwitchedOff($state),
        ]));
    }

    /**
     * Whether any breaker or switch of the supply stands at off.
     *
     * @param array<string, mixed> $state
     */
    private function isSwitchedOff(array $state): bool
    {
        foreach ($this->plan->model->document['parts'] as $part) {
            $kind = $this->plan->model->document['kinds'][$part['kind']];
            foreach ($kind['family'] === 'supply' ? array_keys($kind['controls'] ?? []) : [] as $lever) {
                if ($state['slots']["{$part['id']}.$lever"]['at'] === 'off') {
                    return true;
                }
            }
        }

        return false;
    }
}
