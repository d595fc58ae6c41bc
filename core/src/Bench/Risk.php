<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Guarded;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Run\Machine;

/** What an act would have done to a person or a house in life, seen from the appliance as it stands. */
final readonly class Risk
{
    /** From here on a shock. */
    private const LIVE_V = 50.0;

    /** Trials without a light from which on the fuel should have been shut: more than a control makes by itself. */
    public const RAW_TRIALS = 5;

    /** @var list<string> */
    private array $burners;

    public function __construct(private Plan $plan)
    {
        $this->burners = $plan->those(Burns::class);
    }

    /**
     * @param array<string, mixed> $state before the act
     * @return list<string> ids of {@see Danger}
     */
    public function of(Machine $machine, array $state, Act $act): array
    {
        return match ($act->name) {
            'lift', 'land', 'mend', 'plug', 'spare', 'fuse' => $this->hands($machine, $state, $act),
            'jump' => [...$this->touched($machine, $state, [$act->get('from'), $act->get('to')]), ...$this->bridged($act->get('from'), $act->get('to'))],
            'turn' => $machine->shows($state, $this->motor($act->get('part'))) === '' ? [] : ['moving-part'],
            'push' => $act->get('to') === 'in' ? ['pushed-by-hand'] : [],
            'set' => $act->get('lever') === 'pipe' && $act->get('to') === 'aside' ? ['flue-aside'] : [],
            'suck' => $act->get('to') === 'on' ? ['suction'] : [],
            'reset' => $this->reset($state, $act->get('part')),
            'hand_back' => $this->leaving($state),
            default => [],
        };
    }

    /**
     * Trials without a light, all burners together, since they last burnt.
     *
     * @param array<string, mixed> $state
     */
    public function rawTrials(array $state): int
    {
        $raw = 0;
        foreach ($this->burners as $id) {
            $raw += $state['slots'][$id]['raw'];
        }

        return $raw;
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
        $over = $act->name === 'fuse' && $act->get('amps') > $this->rating($owner) ? ['over-fused'] : [];
        $to = $act->name === 'land' ? [$this->plan->model->wires()[$owner]->at(Model::split($act->get('end'))[1])] : [];
        $live = $this->touched($machine, $state, [...$to, ...array_filter(array_keys($this->plan->places), fn (string $p) => str_starts_with($p, "$owner."))]);
        if ($live !== []) {
            return [...$live, ...$over];
        }
        if ($over !== []) {
            return $over;
        }
        foreach ($this->plan->those(HoldsCharge::class) as $id) {
            if ($state['slots'][$id]['charge'] > self::LIVE_V && $this->isAt($owner, Model::split($id)[0])) {
                return ['charged-capacitor'];
            }
        }

        return [];
    }

    /**
     * @param array<string, mixed> $state
     * @param array<string> $places
     * @return list<string>
     */
    private function touched(Machine $machine, array $state, array $places): array
    {
        $solution = $machine->solution($state);
        foreach ($places as $place) {
            if ($solution->acVolts($this->plan->places[$place], 0) > self::LIVE_V) {
                return ['live-work'];
            }
        }

        return [];
    }

    /**
     * What a jumper does away with: a safety between its two ends, or all that stands before a fuel valve.
     *
     * @return list<string>
     */
    private function bridged(string $from, string $to): array
    {
        $found = [];
        foreach ($this->plan->model->parts() as $part) {
            $at = [Model::split($from)[0] === $part->id, Model::split($to)[0] === $part->id];
            if ($at === [true, true] && $part->kind->guards() !== null) {
                $found[] = 'safety-jumpered';
            }
            if ($at[0] !== $at[1] && $part->kind->isFuelValve()) {
                $found[] = 'valve-jumpered';
            }
        }

        return $found;
    }

    private function rating(string $part): float
    {
        return $this->plan->model->kindOf($part)?->ratedAmps() ?? INF;
    }

    private function motor(string $part): string
    {
        return "$part.".array_key_first($this->plan->model->parts()[$part]->kind->those(Turns::class));
    }

    /** Whether a part is the one in hand, or the wire in hand goes to it. */
    private function isAt(string $owner, string $part): bool
    {
        return $owner === $part || $this->plan->model->wire($owner)?->goesTo($part) === true;
    }

    /**
     * A safety that has tripped, or a control that has locked out, reset; once is how one sees what it does.
     *
     * @param array<string, mixed> $state
     * @return list<string>
     */
    private function reset(array $state, string $part): array
    {
        $kind = $this->plan->model->parts()[$part]->kind;
        foreach ($kind->resets as $name) {
            if ($state['slots']["$part.$name"]['latched']) {
                return $kind->guards() === Guarded::Rollout ? ['rollout-reset'] : (($state['resets'][$part] ?? 0) > 0 ? ['reset-again'] : []);
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
            'jumper-left' => array_filter([...$state['jumpers'], ...$state['earlier']], fn (array $j) => ! isset($this->plan->model->wires()[Model::split($j[0])[0]])) !== [],
            'over-fused' => $this->isOverFused($state),
            'flue-left' => $this->stands($state, 'pipe', 'aside'),
            'filter-left' => $this->stands($state, 'slide', 'out'),
            'power-off' => $this->isSwitchedOff($state),
        ]));
    }

    /**
     * Whether a lever of some name stands somewhere at a position.
     *
     * @param array<string, mixed> $state
     */
    private function stands(array $state, string $lever, string $at): bool
    {
        foreach ($this->plan->model->parts() as $part) {
            if (($state['slots']["{$part->id}.$lever"]['at'] ?? null) === $at) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, mixed> $state */
    private function isOverFused(array $state): bool
    {
        foreach ($state['fitted'] as $path => $value) {
            if (str_ends_with((string) $path, '.amps') && $value > $this->rating(implode('.', array_slice(explode('.', (string) $path), 0, -2)))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether any breaker or switch of the supply stands at off.
     *
     * @param array<string, mixed> $state
     */
    private function isSwitchedOff(array $state): bool
    {
        foreach ($this->plan->model->parts() as $part) {
            foreach ($part->kind->isSupply() ? array_keys($part->kind->settings) : [] as $lever) {
                if ($state['slots']["{$part->id}.$lever"]['at'] === 'off') {
                    return true;
                }
            }
        }

        return false;
    }
}
