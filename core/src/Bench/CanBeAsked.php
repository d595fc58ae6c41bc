<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Catalogue;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Logger;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;

/**
 * What a bench can be asked without anything being done at it: of every suspect, what it would show.
 *
 * @phpstan-import-type Perceived from Record
 * @phpstan-import-type Kept from Record
 */
trait CanBeAsked
{
    /** Whether a lead can get to a place: it is not behind a door that is shut. */
    public function reaches(BenchState $state, string $place): bool
    {
        return $this->reach->reaches($state, $place);
    }

    /**
     * What a look at a part would show now, nothing else changed; null when nothing of it is in sight.
     *
     * @return array<string, string>|null
     */
    public function glance(BenchState $state, string $part): ?array
    {
        return $this->isInSight($state, $part) ? $this->look($state, $part) : null;
    }

    /** Whether anything of a part is in sight. */
    public function isInSight(BenchState $state, string $part): bool
    {
        return $this->reach->isInSight($state, $part);
    }

    /** @return array<string, string> what a look at a part that is in sight shows: thing => how it is */
    public function look(BenchState $state, string $part): array
    {
        return $this->noticing->look($this->machine, $state, $part);
    }

    /**
     * What hands would find of a part: by a look at it when it has been taken off, by trying what can be loose, by
     * turning it. Nothing else changed, no danger told.
     *
     * @return array<string, string> take, feel, turn => what is found, as far as it can be done
     */
    public function handled(BenchState $state, string $part): array
    {
        $kind = $this->plan->model->kindOf($part);
        $found = [];
        if (! $this->reach->reaches($state, "$part.")) {
            return [];
        }
        if ($kind?->comesOff() === true) {
            $off = $state->with(off: $state->off + [$part => []]);
            $found['take'] = $this->noticing->look($this->machine, $off, $part)['condition'];
        }
        $turns = $kind?->hands()->turn === true || $kind?->hands()->head === true; // with its head off
        foreach (['feel' => $kind?->isTried(), 'turn' => $turns] as $act => $can) {
            if ($can === true) {
                $shown = Catalogue::make($state->now(), $act, ['part' => $part])->shows($this->situation($state));
                $found[$act] = $shown['touch'] ?? $shown['shaft'] ?? $shown['spindle'] ?? '';
            }
        }

        return $found;
    }

    /** What an instrument would show at a tap, exactly. */
    public function tap(BenchState $state, string $tap): float
    {
        return Bag::atTap($this->plan->model->taps()[$tap]->instrument)->at($this->site($state), $tap)->exact;
    }

    /** The same with the meter off the circuit, its leads where they are: to ask what another load would show. */
    public function withoutMeter(BenchState $state): BenchState
    {
        return $this->hookup->unmetered($state);
    }

    /**
     * Whether the appliance still differs from its document: the fault is in it, or something that does not
     * belong there was put in.
     */
    public function isFaulty(BenchState $state): bool
    {
        return (new AsLeft($this->plan, $this->fault))->isFaulty($state);
    }

    /** @return list<string> parts that the work has spoilt, and that were not replaced */
    public function spoilt(BenchState $state): array
    {
        return (new AsLeft($this->plan, $this->fault))->spoilt($state);
    }

    /**
     * Everything perceived at this moment, by channel; the meter's display among it.
     *
     * @return Perceived
     */
    public function now(BenchState $state): array
    {
        $now = $state->isAlone() ? [] : $this->perception->at($this->machine, $state, $state->open, $state->eyes);
        $chart = Logger::channel($state);
        if ($chart !== null) {
            $now[$chart] = Logger::writes($this->site($state));
        }
        if ($state->isMetered() && ! $state->isAlone()) {
            $now["meter {$state->mode->value} $state->red $state->black"] = $this->meter->recorded($this->site($state));
        }

        return $now;
    }

    /**
     * What was perceived up to a tick.
     *
     * @return array<string, list<array{int, int, mixed}>> stretches by channel
     */
    public function perceived(int $tick): array
    {
        return $this->record->until($tick);
    }

    /** @return Kept what was perceived, to be kept for {@see goOnFrom} */
    public function kept(): array
    {
        return $this->record->kept();
    }

    /** @param Kept $kept */
    public function goOnFrom(array $kept): void
    {
        $this->record = Record::resumed($kept);
    }

    /** Forgets what was perceived, but for what is now. */
    public function anew(BenchState $state): void
    {
        $this->record = new Record();
        $this->record->see($state->now(), $this->now($state));
    }

    public function perception(): Perception
    {
        return $this->perception;
    }

    public function machine(): Machine
    {
        return $this->machine;
    }
}
