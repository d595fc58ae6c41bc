<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Words\Words;

/** What a household says of the air that a fan blows. */
trait ComplainsOfAir
{
    /** @param array<string, list<string>> $air */
    private function air(array $air): void
    {
        $cools = $this->household->heat === [] && $this->household->cool !== [];
        $heat = $cools ? $this->household->cool : $this->household->heat;
        [$ran, $burned] = [$this->lived->total($air), $this->lived->total($heat)];
        [$id, $text] = match (true) {
            $this->lived->uncalled($air) > self::UNCALLED => [
                'fan-always',
                Words::say('senses.complaint.the_fan_never_stops'),
            ],
            $cools && $ran > 3 * $burned + 600_000 => [
                'warm-air',
                Words::say('senses.complaint.the_fan_blows_but_the'),
            ],
            $cools && $ran > 0 => [null, ''],
            $ran > 0 && $burned === 0 => ['cold-air', Words::say('senses.complaint.the_fan_blows_but_the_air')],
            $ran > 3 * $burned + 600_000 => ['cold-air', Words::say('senses.complaint.mostly_cold_air')],
            $ran === 0, $this->stoppedBeforeTheFire($air) => ['no-fan', Words::say('senses.complaint.no_air')],
            default => [null, ''],
        };
        if ($id !== null) {
            $this->say($id, $text);
        }
    }

    /**
     * Whether the fan stopped while the burner went on, and has not come again.
     *
     * @param array<string, list<string>> $air
     */
    private function stoppedBeforeTheFire(array $air): bool
    {
        $blows = $this->lived->stretches($air);
        $stopped = $blows[count($blows) - 1][1];
        if ($stopped >= $this->lived->end($air)) {
            return false;
        }
        $without = $starts = 0;
        foreach ($this->lived->stretches($this->household->heat) as [$from, $to]) {
            if ($from < $stopped && $to > $stopped + self::A_MOMENT) {
                return true; // it was there, with the fire on
            }
            $without += max(0, $to - max($from, $stopped));
            $starts += $from > $stopped ? 1 : 0;
        }

        return $without > self::FAN_WAITS || $starts >= 2;
    }
}
