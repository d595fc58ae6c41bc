<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Part;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\NaturalFault;
use OddSpark\Run\BenchState;
use OddSpark\Suspects\Trial;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * What is tried with every wiring of an appliance, made from the sound one: the long visit, every lever thrown, and at
 * every state of its loads every contact opened that is closed and closed that is open, and the flame put out.
 *
 * @phpstan-import-type Element from Nets
 */
final class Program
{
    /** How long is looked at what follows, ms: a lever may wait for a timer, what a contact opens falls at once. */
    public const THROWN = 120_000;

    private const CHANGED = 20_000;

    /** For so long nothing changes around a moment at which something is tried, ms. */
    private const STEADY = 6_000;

    /** A thermocouple takes its time. */
    private const FLAME = 180_000;

    private readonly Nets $nets;

    /** @var array<string, Station> moments at which contacts are tried, by what is on then */
    private array $stations = [];

    /** @var list<Trying> */
    private array $tryings = [];

    public function __construct(private readonly Rehearsal $sound, private readonly Trial $trial)
    {
        $this->nets = new Nets($sound->plan->model);
        foreach ($trial->moments() as $tick => $title) {
            // where something is about to change, a little more heat would have it change first
            if (! $trial->isTapped($tick) && $sound->visit->isSteady($tick, self::STEADY)) {
                $this->stop(new Station($title, $tick), $sound->states[$tick]);
            }
        }
        $this->levers();
        foreach ($this->stations as $station) {
            $this->contacts($station);
        }
        $this->flames();
    }

    /** @return list<Trying> */
    public function tryings(): array
    {
        return $this->tryings;
    }

    private function stop(Station $station, BenchState $state): bool
    {
        $on = implode(' ', array_keys(array_filter($this->sound->at($state), Loads::isOn(...))));
        if (isset($this->stations[$on])) {
            return false;
        }
        $this->stations[$on] = $station;

        return true;
    }

    private function levers(): void
    {
        $rested = $this->trial->rested();
        $warm = array_key_last(array_filter(
            $this->trial->moments(),
            fn (int $tick): bool => $tick < $rested && ! $this->trial->isTapped($tick),
            ARRAY_FILTER_USE_KEY,
        )) ?? $rested;
        foreach ($this->sound->plan->model->parts() as $part) {
            foreach ($part->kind->settings as $lever => $setting) {
                foreach ($setting->positions as $to) {
                    foreach (array_unique([$warm, $rested]) as $tick) {
                        $this->lever($part, $lever, (string) $to, $setting->label, $tick);
                    }
                }
            }
        }
    }

    private function lever(Part $part, string $lever, string $to, string $label, int $tick): void
    {
        $state = $this->sound->states[$tick];
        if ($state->at("$part->id.$lever") === $to) {
            return;
        }
        $ends = $this->sound->thrown($state, $part->id, $lever, $to, self::THROWN, null);
        if ($ends === null) {
            return;
        }
        $moment = $this->trial->moments()[$tick];
        $title = Words::say('wiring_up.program.lever', [
            'part' => $part->label, 'lever' => $label, 'to' => $to, 'when' => $moment,
        ]);
        $station = new Station($title, $tick, [$part->id, $lever, $to]);
        $this->tryings[] = Trying::lever(new Station($moment, $tick), $title, [$part->id, $lever, $to], self::THROWN);
        $this->stop($station, $ends[1]);
    }

    private function contacts(Station $station): void
    {
        $state = $station->of($this->sound, self::THROWN);
        foreach ($state === null ? [] : $this->nets->elements() as $e) {
            if ($e['load']) {
                continue;
            }
            $id = "{$e['part']}.{$e['name']}";
            $part = $this->sound->plan->model->part($e['part']);
            $slot = $state->slots[$id] ?? [];
            $isClosed = $slot['closed'] ?? $slot['whole'] ?? null;
            $mode = $isClosed === true ? 'open' : 'closed';
            foreach ($isClosed === null ? [] : $part?->spec($e['name'])?->faults() ?? [] as $fault) {
                if ($fault->mode === $mode) {
                    $this->contact($station, $e, $part, $fault);
                }
            }
        }
    }

    /** @param Element $e */
    private function contact(Station $station, array $e, Part $part, NaturalFault $fault): void
    {
        $id = "{$e['part']}.{$e['name']}";
        $set = [];
        foreach ($fault->set as $figure => $value) {
            $set["$id.$figure"] = $value;
        }
        $isOpened = $fault->mode === 'open';
        $doors = $this->sound->plan->model->doors();
        $stop = match (true) {
            ! $isOpened => MustStop::Nothing,
            $part->kind->isGuardingSwitch($e['name']) => MustStop::Fuel,
            $doors->isInterlock("$part->id.".$part->spec($e['name'])?->follows()) => MustStop::All,
            default => MustStop::Nothing,
        };
        $said = ['switch' => $this->nets->title($e), 'when' => $station->title];
        $title = $isOpened
            ? Words::say('wiring_up.program.opened', $said)
            : Words::say('wiring_up.program.closed', $said);
        $this->tryings[] = Trying::change($station, $title, $id, $set, [], self::CHANGED, $stop);
    }

    /** Where a fire burns it is put out, and nothing lights again. */
    private function flames(): void
    {
        $all = $this->sound->plan->those(Burns::class);
        $never = array_fill_keys(array_map(fn (string $id) => "$id.lights_in_s", $all), 1e6);
        $out = array_fill_keys($all, ['lit' => false, 'carried' => false, 'due' => null]);
        $done = [];
        foreach ($this->stations as $station) {
            $state = $station->of($this->sound, self::THROWN);
            $lit = array_filter($all, fn (string $id): bool => $state?->slots[$id]['lit'] ?? false);
            $key = implode(' ', $lit);
            if ($lit !== [] && ! isset($done[$key])) {
                $done[$key] = true;
                $title = Words::say('wiring_up.program.flame', ['when' => $station->title]);
                $this->tryings[] = Trying::change($station, $title, 'flame', $never, $out, self::FLAME, MustStop::Fuel);
            }
        }
    }
}
