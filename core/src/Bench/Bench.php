<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Senses\Complaint;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Trade\Course;

/**
 * A person before an appliance: does things to it and perceives what follows.
 *
 * The same class runs the trainee's attempt (with a seed: noise in the meter, scatter in the parts)
 * and every candidate of the suspects (without: what would be expected). State is one plain array:
 * the machine's tick and slots, zero (the tick of the arrival) and what the person has done to the
 * scene: door, held, red, black, mode, mended, looked, labour.
 */
final class Bench
{
    private const LIVE_V = 50.0;

    private Machine $machine;

    private readonly Perception $perception;

    /** @var list<string> parts behind the door */
    private readonly array $covered;

    /** What was perceived. */
    public Record $record;

    public function __construct(
        public readonly Plan $plan,
        public readonly Fault $fault,
        private readonly Memory $memory,
        private readonly ?int $seed = null,
    ) {
        $this->perception = new Perception($plan);
        $this->covered = array_merge(...array_column($plan->model->document['doors'] ?? [], 'covers'), ...[[]]);
        $this->machine = $this->machineWithout([]);
        $this->record = new Record();
    }

    /**
     * The time before the visit: the appliance runs with its fault, the household does what it does.
     *
     * A lever that the fault itself has moved is left alone by the household.
     */
    public function arrive(string $visit): Arrival
    {
        $story = $this->plan->model->document['visits'][$visit] ?? throw new \OutOfBoundsException("This model has no visit \"$visit\".");
        $heard = new Record();
        $appears = $this->fault->gradual ? 0 : ($story['appears_s'] ?? 0) * 1000;
        $healthy = $appears > 0 ? new Machine($this->plan, [], $this->memory) : $this->machine;
        $state = $healthy->settle($healthy->initial());
        $on = $healthy;
        $listen = function (array $s) use ($heard, &$on): bool {
            $heard->see($s['tick'], $this->perception->at($on, $s, true));

            return false;
        };
        $listen($state);
        if ($appears > 0) {
            $state = $healthy->advance($state, $appears, $listen);
            $on = $this->machine;
            $state = $this->begins($state);
        }
        $noticed = $state = $this->machine->advance($state, $story['notices_s'] * 1000, $listen);
        $until = $heard->until($noticed['tick']);
        foreach ($story['household'] as $doing) {
            $state = $this->machine->advance($state, $doing['at_s'] * 1000, $listen);
            $id = "{$doing['part']}.{$doing['lever']}";
            if (! isset($this->fault->set["$id.at"])) {
                $state['slots'][$id]['at'] = $doing['to'];
                $state = $this->machine->settle($state);
            }
        }
        $state = $this->whenCalled($state, $story['arrives'], $listen);
        if ($story['household'] === []) { // it called as it was
            $noticed = $state;
            $until = $heard->until($state['tick']);
        }
        $thermostat = $this->findThermostat();
        $complaint = Complaint::of($until, [
            'room_f' => Course::at($noticed['slots']['room']['course'], $noticed['tick']),
            'set_f' => (float) $story['set_f'],
            'display' => $this->machine->shows($state, "$thermostat.logic"),
            'calling' => $noticed['slots']["$thermostat.logic"]['heat'] ?? false,
        ]);
        $state += [
            'zero' => $state['tick'], 'door' => 'shut', 'held' => false, 'red' => null, 'black' => null,
            'mode' => Mode::VoltsAc->value, 'meter_fuse' => 'whole', 'mended' => [], 'labour' => 0.0, 'acts' => 0,
        ];

        return new Arrival($state, $complaint);
    }

    /**
     * The fault appears in an appliance that was running: its levers are moved, the rest follows.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @return array{tick: int, slots: array<string, array<string, mixed>>}
     */
    private function begins(array $state): array
    {
        foreach ($this->fault->set as $path => $value) {
            if (str_ends_with($path, '.at')) {
                $state['slots'][substr($path, 0, -3)]['at'] = $value;
            }
        }

        return $this->machine->settle($state);
    }

    /**
     * On to the arrival: some time after a moment, or after a percept is no longer as it should be.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @param array<string, mixed> $arrives after_s; or unlike: {channel: value} with after_s and at_most_s
     * @return array{tick: int, slots: array<string, array<string, mixed>>}
     */
    private function whenCalled(array $state, array $arrives, callable $listen): array
    {
        if (isset($arrives['unlike'])) {
            $strange = function (array $s) use ($arrives, $listen): bool {
                $listen($s);
                foreach ($arrives['unlike'] as $channel => $value) {
                    if ($this->machine->shows($s, $this->plan->percepts[$channel]['of']) !== $value) {
                        return true;
                    }
                }

                return false;
            };
            if (! $strange($state)) {
                $state = $this->machine->advance($state, $arrives['at_most_s'] * 1000, $strange);
            }
        }

        return $this->machine->advance($state, $state['tick'] + $arrives['after_s'] * 1000, $listen);
    }

    /**
     * Goes on with a state kept from earlier, as from a snapshot.
     *
     * @param array<string, mixed> $state
     */
    public function resume(array $state): void
    {
        $this->machine = $this->machineWithout($state['mended']);
        $this->connect($state);
        $this->perceive($state);
    }

    /**
     * Bench time goes on to a tick after the arrival; everything perceived on the way is recorded.
     *
     * @param array<string, mixed> $state
     * @param bool $toNext stop as soon as something changes that this person can perceive
     * @return array<string, mixed>
     */
    public function advance(array $state, int $tick, bool $toNext = false): array
    {
        $scene = array_diff_key($state, ['tick' => 1, 'slots' => 1]);
        $before = $toNext ? $this->now($state) : [];
        $run = $this->machine->advance(
            ['tick' => $state['tick'], 'slots' => $state['slots']],
            $state['zero'] + $tick,
            function (array $s) use ($scene, $toNext, $before): bool {
                $now = $this->perceive($s + $scene);

                return $toNext && self::withoutMeter($now) !== self::withoutMeter($before);
            },
        );

        return $run + $scene;
    }

    /**
     * The same, watched by another than the person: each settled state is shown to $seen.
     *
     * @param array<string, mixed> $state
     * @param callable(array<string, mixed>): bool $seen
     * @return array<string, mixed>
     */
    public function watch(array $state, int $tick, callable $seen): array
    {
        $scene = array_diff_key($state, ['tick' => 1, 'slots' => 1]);

        return $this->machine->advance(
            ['tick' => $state['tick'], 'slots' => $state['slots']],
            $state['zero'] + $tick,
            fn (array $s): bool => $seen($s + $scene),
        ) + $scene;
    }

    /**
     * Whether a lead can get to a place: it is not behind a door that is shut.
     *
     * @param array<string, mixed> $state
     */
    public function reaches(array $state, string $place): bool
    {
        return $state['door'] === 'open' || ! in_array($this->ownerOf($place), $this->covered, true);
    }

    /**
     * What a look at a part would show now, nothing else changed; null when it is behind the door.
     *
     * @param array<string, mixed> $state
     * @return array<string, string>|null
     */
    public function glance(array $state, string $part): ?array
    {
        return $this->reaches($state, "$part.") ? $this->look($state, $part) : null;
    }

    /**
     * Puts the meter's leads back where the state has them.
     *
     * @param array<string, mixed> $state
     */
    public function reconnect(array $state): void
    {
        $this->connect($state);
    }

    /**
     * Does an act at its tick, which the state has been advanced to first.
     *
     * @param array<string, mixed> $state
     * @return array{array<string, mixed>, Outcome}
     */
    public function do(array $state, Act $act): array
    {
        $state = $this->advance($state, $act->tick);
        $refusal = $this->refusal($state, $act);
        if ($refusal !== null) {
            return [$state, Outcome::refuse($refusal)];
        }
        $dangers = $this->dangers($state, $act);
        $state['labour'] += Catalogue::ACTS[$act->name]['minutes'];
        $state['acts']++;
        $state = $this->apply($state, $act);
        $this->perceive($state);
        if (in_array($act->name, ['leads', 'dial', 'read'], true) && $state['red'] !== null && $state['black'] !== null) {
            if ($this->blowsMeterFuse($state)) {
                $state['meter_fuse'] = 'blown';
                $this->connect($state);
                $state = $this->settle($state);
                $this->perceive($state);
                $dangers[] = 'meter-fuse';
            }
            $exact = $this->exact($state);
            $reading = $this->reading($state) ?? throw new \LogicException('leads are on');
            if ($reading->live) {
                $dangers[] = 'ohms-on-live';
            }

            return [$state, new Outcome(reading: $reading, exact: $exact, dangers: $dangers)];
        }

        return [$state, new Outcome($act->name === 'look' ? $this->look($state, $act->get('part')) : [], dangers: $dangers)];
    }

    /**
     * Everything perceived at this moment, by channel; the meter's display among it as "meter".
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    public function now(array $state): array
    {
        $now = $this->perception->at($this->machine, $state, $state['door'] === 'open');
        if ($state['red'] !== null && $state['black'] !== null) {
            $now["meter {$state['mode']} {$state['red']} {$state['black']}"] = $this->seed === null
                ? self::plain($this->exact($state))
                : $this->reading($state)?->toArray();
        }

        return $now;
    }

    /**
     * @param array<string, mixed> $now
     * @return array<string, mixed>
     */
    private static function withoutMeter(array $now): array
    {
        return array_filter($now, fn (string $channel) => ! str_starts_with($channel, 'meter '), ARRAY_FILTER_USE_KEY);
    }

    public function perception(): Perception
    {
        return $this->perception;
    }

    public function machine(): Machine
    {
        return $this->machine;
    }

    /** @param array<string, mixed> $state */
    public function reading(array $state): ?Reading
    {
        if ($state['red'] === null || $state['black'] === null) {
            return null;
        }

        return Meter::show(Mode::from($state['mode']), $this->exact($state), $this->seed === null ? null : crc32("$this->seed/{$state['acts']}"));
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function perceive(array $state): array
    {
        $now = $this->now($state);
        $this->record->see($state['tick'] - $state['zero'], $now);

        return $now;
    }

    /** An exact value as it goes into a record: rounded below any meter's step. */
    private static function plain(float $exact): float|string
    {
        return is_nan($exact) ? 'live' : (is_infinite($exact) ? 'open' : round($exact, 6));
    }

    /** @param array<string, mixed> $state */
    private function exact(array $state): float
    {
        if ($state['mode'] === Mode::Microamps->value && $this->meterFuse($state) === 'blown') {
            return 0.0;
        }

        return Meter::exact(
            Mode::from($state['mode']),
            $this->machine->solution($state),
            $this->plan->places[$state['red']],
            $this->plan->places[$state['black']],
        );
    }

    /** @param array<string, mixed> $state */
    private function connect(array $state): void
    {
        $this->machine->load(
            $state['red'] === null ? null : $this->plan->places[$state['red']],
            $state['black'] === null ? null : $this->plan->places[$state['black']],
            $state['mode'] === Mode::Microamps->value && $this->meterFuse($state) === 'blown' ? 0.0 : Mode::from($state['mode'])->siemens(),
        );
    }

    /**
     * Whether more goes through the microamp range than its fuse stands.
     *
     * @param array<string, mixed> $state with the leads on
     */
    private function blowsMeterFuse(array $state): bool
    {
        if ($state['mode'] !== Mode::Microamps->value || $this->meterFuse($state) === 'blown') {
            return false;
        }
        $solution = $this->machine->solution($state);
        [$red, $black] = [$this->plan->places[$state['red']], $this->plan->places[$state['black']]];

        return hypot($solution->acVolts($red, $black), $solution->dcVolts($red, $black)) / Mode::BURDEN_OHM > Meter::FUSE_AMPS;
    }

    /** @param array<string, mixed> $state */
    private function meterFuse(array $state): string
    {
        return $state['meter_fuse'] ?? 'whole';
    }

    /**
     * Why the act cannot be done here and now; null when it can.
     *
     * @param array<string, mixed> $state
     */
    private function refusal(array $state, Act $act): ?string
    {
        $model = $this->plan->model;
        $behind = fn (?string $part): bool => $part !== null && $state['door'] !== 'open' && in_array($part, $this->covered, true);
        $owner = fn (?string $place): ?string => $place === null ? null : $this->ownerOf($place);
        switch ($act->name) {
            case 'look':
            case 'mend':
            case 'reset':
                $part = $act->get('part');
                if (! isset($model->parts()[$part]) && ! isset($model->wires()[$part])) {
                    return "There is no part called \"$part\" here.";
                }
                if ($behind(isset($model->parts()[$part]) ? $part : $owner("$part.a"))) {
                    return 'That is behind the door.';
                }
                if ($act->name === 'reset' && ! isset($model->kindOf($part)['resets'])) {
                    return 'There is nothing to reset on it.';
                }

                return null;
            case 'set':
                [$part, $lever] = [$act->get('part'), $act->get('lever')];
                $kind = $model->kindOf($part);
                if (! isset($kind['controls'][$lever])) {
                    return "There is nothing called \"$lever\" to set on \"$part\".";
                }
                if ($behind($part)) {
                    return 'That is behind the door.';
                }
                $spec = $kind['primitives'][$lever];
                $to = $act->get('to');
                if (isset($spec['positions']) ? ! in_array($to, $spec['positions'], true) : ! is_numeric($to) || $to < $spec['range'][0] || $to > $spec['range'][1]) {
                    return 'It can be set to '.(isset($spec['positions']) ? implode(', ', $spec['positions']) : "{$spec['range'][0]} to {$spec['range'][1]}").'.';
                }

                return null;
            case 'leads':
                foreach (['red', 'black'] as $lead) {
                    $place = $act->get($lead);
                    if ($place !== null && $this->plan->node($place) === null) {
                        return "There is no place called \"$place\" for the $lead lead.";
                    }
                    if ($behind($owner($place))) {
                        return "The $lead lead cannot get there: it is behind the door.";
                    }
                }

                return null;
            case 'lift':
            case 'land':
                [$wire, $end] = Model::split($act->get('end'));
                if (! isset($model->wires()[$wire]) || ! in_array($end, ['a', 'b'], true)) {
                    return "There is no wire end called \"{$act->get('end')}\".";
                }
                if ($behind($owner($act->get('end')))) {
                    return 'That is behind the door.';
                }
                if ($state['slots']["$wire.body"][$end] === ($act->name === 'land')) {
                    return $act->name === 'land' ? 'It is landed already.' : 'It is lifted already.';
                }

                return null;
            case 'hold':
                return $state['door'] !== 'open' ? 'The door itself holds the switch in.' : null;
            case 'read':
                return $state['red'] === null || $state['black'] === null ? 'The leads are not on anything.' : null;
        }

        return null;
    }

    /**
     * @param array<string, mixed> $state
     * @return list<string>
     */
    private function dangers(array $state, Act $act): array
    {
        $dangers = [];
        if (in_array($act->name, ['lift', 'land', 'mend'], true) && $act->get('how') !== 'clear' && $this->lineVoltsAt($state, $act->get('part') ?? Model::split($act->get('end'))[0])) {
            $dangers[] = 'live-work';
        }
        if ($act->name === 'reset' && $this->plan->model->kindOf($act->get('part'))['family'] === 'rollout') {
            foreach (array_keys($this->plan->model->kindOf($act->get('part'))['resets']) as $name) {
                if ($state['slots'][$act->get('part').".$name"]['latched']) {
                    $dangers[] = 'rollout-reset';
                }
            }
        }
        if ($act->name === 'hand_back') {
            if ($state['held']) {
                $dangers[] = 'door-switch-held';
            }
            if ($state['door'] === 'open') {
                $dangers[] = 'door-open';
            }
            foreach (array_keys($this->plan->model->wires()) as $wire) {
                if (! $state['slots']["$wire.body"]['a'] || ! $state['slots']["$wire.body"]['b']) {
                    $dangers[] = 'wire-lifted';
                    break;
                }
            }
            if ($this->isSwitchedOff($state)) {
                $dangers[] = 'power-off';
            }
        }

        return $dangers;
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

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function apply(array $state, Act $act): array
    {
        switch ($act->name) {
            case 'door':
                $state['door'] = $act->get('to');
                $state['held'] = false;

                return $this->settleDoor($state);
            case 'hold':
                $state['held'] = $act->get('to') === 'held';

                return $this->settleDoor($state);
            case 'set':
                $state['slots'][$act->get('part').'.'.$act->get('lever')]['at'] = $act->get('to');
                break;
            case 'dial':
                $state['mode'] = $act->get('mode');
                $this->connect($state);
                break;
            case 'leads':
                $state['red'] = $act->get('red');
                $state['black'] = $act->get('black');
                $this->connect($state);
                break;
            case 'meter_fuse':
                $state['meter_fuse'] = 'whole';
                $this->connect($state);
                break;
            case 'lift':
            case 'land':
                [$wire, $end] = Model::split($act->get('end'));
                $state['slots']["$wire.body"][$end] = $act->name === 'land';
                break;
            case 'reset':
                foreach (array_keys($this->plan->model->kindOf($act->get('part'))['resets']) as $name) {
                    $state['slots'][$act->get('part').".$name"]['latched'] = false;
                }
                break;
            case 'mend':
                $state = $this->mend($state, $act->get('part'), $act->get('how'));
                break;
            default:
                return $state;
        }

        return $this->settle($state);
    }

    /**
     * A part is replaced, cleaned, cleared or set right; the fault is gone if that was what it needed.
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function mend(array $state, string $part, string $how): array
    {
        $helps = $how === 'replace'
            ? $this->fault->repair !== 'utility'
            : $this->fault->repair === $how;
        if ($helps) {
            $state['mended'][] = $part;
            $state['mended'] = array_values(array_unique($state['mended']));
            $this->machine = $this->machineWithout($state['mended']);
            $this->connect($state);
        }
        if ($how === 'replace') {
            foreach ($this->machine->initial()['slots'] as $id => $slot) {
                $isLever = array_keys($slot) === ['at'];
                if (str_starts_with($id, "$part.") && ! $isLever) {
                    $state['slots'][$id] = $slot;
                }
            }
        }

        return $state;
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function settleDoor(array $state): array
    {
        foreach ($this->plan->model->document['doors'] ?? [] as $door) {
            $state['slots'][$door['interlock']]['at'] = $state['door'] === 'shut' || $state['held'] ? 'pressed' : 'out';
        }

        return $this->settle($state);
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function settle(array $state): array
    {
        return $this->machine->settle(['tick' => $state['tick'], 'slots' => $state['slots']]) + $state;
    }

    /**
     * What one sees on looking at a part: its condition, what is set on it, what moves or shines.
     *
     * @param array<string, mixed> $state
     * @return array<string, string>
     */
    private function look(array $state, string $part): array
    {
        $kind = $this->plan->model->kindOf($part);
        $sick = $this->fault->part === $part && $this->fault->seen !== null && ! in_array($part, $state['mended'], true);
        $seen = ['condition' => $sick ? $this->fault->seen : ($kind['look'] ?? 'Insulation whole, both ends seated.')];
        foreach ($kind['controls'] ?? [] as $lever => $control) {
            $at = $state['slots']["$part.$lever"]['at'];
            $seen[$control['label']] = is_string($at) ? $at : "$at ".($control['unit'] ?? '');
        }

        return $seen + $this->perception->lookingAt($this->machine, $state, $part, $state['door'] === 'open');
    }

    /** @param array<string, mixed> $state */
    private function lineVoltsAt(array $state, string $owner): bool
    {
        $solution = $this->machine->solution($state);
        foreach ($this->plan->places as $place => $node) {
            if (str_starts_with($place, "$owner.") && $solution->acVolts($node, 0) > self::LIVE_V) {
                return true;
            }
        }

        return false;
    }

    private function ownerOf(string $place): string
    {
        [$owner, $end] = Model::split($place);
        $wire = $this->plan->model->wires()[$owner] ?? null;

        return $wire === null ? $owner : Model::split($wire[$end === 'a' ? 'from' : 'to'])[0];
    }

    private function findThermostat(): string
    {
        foreach ($this->plan->model->document['parts'] as $part) {
            if ($this->plan->model->document['kinds'][$part['kind']]['family'] === 'thermostat') {
                return $part['id'];
            }
        }

        return '';
    }

    /** @param list<string> $mended */
    private function machineWithout(array $mended): Machine
    {
        $set = array_filter(
            $this->fault->set,
            fn (string $path) => ! array_filter($mended, fn (string $part) => str_starts_with($path, "$part.")),
            ARRAY_FILTER_USE_KEY,
        );

        return new Machine($this->plan, $set + ($this->seed === null ? [] : Scatter::of($this->plan, $this->seed, $set)), $this->memory);
    }
}
