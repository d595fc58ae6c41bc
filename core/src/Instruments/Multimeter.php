<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Appliance\Plan;
use OddSpark\Meter\Display;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\BenchState;
use OddSpark\Run\MachineState;

/**
 * The meter with its two leads: its dial is {@see Mode}.
 *
 * @phpstan-import-type Shown from Reading
 * @phpstan-import-type Joint from MachineState
 */
final readonly class Multimeter extends Instrument
{
    public const KEY = 'meter';

    public const MINUTES = 0.3;

    public function isOn(BenchState $state): bool
    {
        return $state->isMetered();
    }

    /**
     * What the meter is electrically between its leads: two nodes and siemens; null when it joins nothing.
     *
     * @return Joint|null
     */
    public function load(Plan $plan, BenchState $state): ?array
    {
        if (! $this->touches($state) || $this->isBlown($state)) {
            return null;
        }
        $load = [$plan->places[$state->red], $plan->places[$state->black], $state->mode->siemens()];

        return $load[0] === $load[1] || $load[2] == 0.0 ? null : $load;
    }

    /** The exact figure that the circuit offers the meter just now, with both leads on. */
    public function exact(Site $site): float
    {
        $state = $site->state;
        if ($this->isBlown($state)) {
            return 0.0;
        }
        if (! $this->touches($state)) {
            return $state->mode->wantsDead() ? INF : 0.0;
        }

        return Meter::exact(
            $state->mode,
            $site->machine->solution($state),
            $site->plan->places[$state->red],
            $site->plan->places[$state->black],
        );
    }

    /** Whether ohms fall and climb again where its leads have just been put. */
    public function kicks(Site $site): bool
    {
        $state = $site->state;

        return $state->mode === Mode::Ohms && $this->isOn($state) && $this->touches($state) &&
            ! is_nan($this->exact($site)) && Meter::kicks(
                $site->machine->solution($state),
                $site->plan->places[$state->red],
                $site->plan->places[$state->black],
            );
    }

    /** The display following the circuit. */
    public function follow(Site $site): ?Display
    {
        $state = $site->state;

        return $this->isOn($state)
            ? ($state->display ?? Display::fresh())->follow($state->mode, $this->exact($site), $state->tick)
            : $state->display;
    }

    /**
     * The display as it stands once settled, as it is recorded while time goes on.
     *
     * @return Shown|float|string what is shown, or, without a seed, the exact figure
     */
    public function recorded(Site $site): array|float|string
    {
        $exact = $this->exact($site);

        return $site->seed === null ? self::plain($exact) : $this->show($site, $exact)->toArray();
    }

    /** Read off the meter at this moment: settling still, if the circuit has just changed. */
    public function read(Site $site): Measured
    {
        $state = $site->state;
        $display = $state->display ?? Display::fresh();
        $exact = $display->at($state->mode, $state->tick);
        $shown = $this->show($site, $exact);
        if (! $display->keeping) {
            return new Measured($exact, $shown);
        }
        $kept = $display->kept($state->mode, $state->tick);
        [$least, $most] = [
            $kept->least ?? (is_finite($exact) ? $exact : null),
            $kept->most ?? (is_finite($exact) ? $exact : null),
        ];
        $figure = fn (?float $x): ?float => $x === null ? null : $this->show($site, $x)->value;

        return new Measured(
            $exact,
            new Reading(
                $state->mode,
                $shown->value,
                $shown->step,
                $shown->live,
                $shown->unsteady,
                $shown->low,
                $figure($least),
                $figure($most),
                $state->range,
            ),
            $least,
            $most,
        );
    }

    /** Whether more goes through a current range than its fuse stands. */
    public function blows(Site $site): bool
    {
        $state = $site->state;
        $fuse = Mode::FUSE[$state->mode->value] ?? null;
        if ($fuse === null || ! $this->touches($state) || $this->isBlown($state)) {
            return false;
        }
        $solution = $site->machine->solution($state);
        [$red, $black] = [$site->plan->places[$state->red], $site->plan->places[$state->black]];

        return hypot($solution->acVolts($red, $black), $solution->dcVolts($red, $black)) /
            Mode::BURDEN_OHM[$state->mode->value] >
            $fuse[1];
    }

    /** With the fuse of its range gone. */
    public function blown(BenchState $state): BenchState
    {
        return $state->with(blown: [...$state->blown, Mode::FUSE[$state->mode->value][0]]);
    }

    private function touches(BenchState $state): bool
    {
        return $this->isOn($state) && $state->loose === null;
    }

    private function isBlown(BenchState $state): bool
    {
        return in_array(Mode::FUSE[$state->mode->value][0] ?? '', $state->blown, true);
    }

    private function show(Site $site, float $exact): Reading
    {
        $state = $site->state;
        $reading = Meter::show($state->mode, $exact, $site->noise(), $state->range, $state->battery === 'low');

        return $state->loose === null
            ? $reading
            : new Reading($state->mode, $reading->value, $reading->step, unsteady: true, low: $reading->low);
    }

    /** An exact value as it goes into a record: rounded below any meter's step. */
    private static function plain(float $exact): float|string
    {
        return is_nan($exact) ? 'live' : (is_infinite($exact) ? 'open' : round($exact, 6));
    }
}
