<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Suspects\Trial;
use OddSpark\Words\Words;

/** The sequence of a sound appliance in sentences, as it ran: what comes on and off, and what its safeties stop. */
final readonly class Described
{
    /** Changes that lie so near are one step, ms. */
    private const STEP = 2_000;

    public function __construct(private Loads $loads, private Trial $trial) {}

    /** @return list<string> */
    public function steps(Track $visit): array
    {
        $steps = [];
        $on = [];
        foreach ($visit->steps(self::STEP) as [$tick, $at]) {
            if ($this->trial->isTapped($tick)) {
                break; // a call once more
            }
            $now = array_keys(array_filter($at, Loads::isOn(...)));
            $step = $this->step(array_diff($now, $on), array_diff($on, $now));
            if ($step !== null) {
                $steps[] = Words::say('wiring_up.described.step', ['when' => $this->when($tick), 'what' => $step]);
            }
            $on = $now;
        }

        return $steps;
    }

    /**
     * What a safety stops.
     *
     * @param array<string, float|string> $before
     */
    public function stopped(string $title, array $before, Track $track): ?string
    {
        $on = array_keys(array_filter($before, Loads::isOn(...)));
        $now = array_keys(array_filter($track->last(), Loads::isOn(...)));
        $step = $this->step(array_diff($now, $on), array_diff($on, $now));

        return $step === null ? null : "$title: $step";
    }

    /**
     * @param array<string> $on ids of loads that come on
     * @param array<string> $off
     */
    private function step(array $on, array $off): ?string
    {
        $titles = fn (array $ids): string => implode(', ', $this->loads->titles($ids));

        return match (true) {
            $on !== [] && $off !== [] => Words::say('wiring_up.described.both', [
                'on' => $titles($on), 'off' => $titles($off),
            ]),
            $on !== [] => Words::say('wiring_up.described.on', ['on' => $titles($on)]),
            $off !== [] => Words::say('wiring_up.described.off', ['off' => $titles($off)]),
            default => null,
        };
    }

    private function when(int $tick): string
    {
        foreach (array_reverse($this->trial->spans()) as [$from, , $title]) {
            if ($tick >= $from) {
                return round(($tick - $from) / 1000)." s $title";
            }
        }

        return round($tick / 1000).' s';
    }
}
