<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Model;
use OddSpark\Marking\Rules;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * Hints at a wiring as it stands, from the least to the most that one tells: what is not right yet, when and how, and
 * what belongs together.
 */
final readonly class Advice
{
    private Nets $drawn;

    public function __construct(private Task $task)
    {
        $this->drawn = new Nets($task->sound);
    }

    /** @param string $grade of {@see Rules::HINTS} */
    public function of(string $grade, Verdict $verdict): string
    {
        $first = $verdict->first();
        if ($first === null) {
            return Words::say('wiring_up.advice.all_is_right');
        }
        $what = $first->otherwise[0];

        return match ($grade) {
            'where' => Words::say('wiring_up.advice.where', ['what' => $what['title']]),
            'circuit' => $first->trying === null
                ? $first->sentences()[0]
                : Words::say('wiring_up.advice.when', ['when' => $first->title, 'what' => $first->sentences()[0]]),
            default => $this->belongs($verdict->wired, $what['load']),
        };
    }

    /** What belongs together and is not, or is and should not be: at the load first. */
    private function belongs(Model $wired, string $load): string
    {
        $now = new Nets($wired);
        $part = Model::split($load)[0];
        $lacks = $wrong = [];
        foreach ($this->task->missing as $id) {
            $wire = $this->task->sound->wires()[$id];
            if ($now->root($wire->from) !== $now->root($wire->to)) {
                $lacks[$wire->goesTo($part) ? 0 : 1][] = [$wire->from, $wire->to];
            }
        }
        ksort($lacks);
        $pair = array_values($lacks)[0][0] ?? null;
        if ($pair !== null) {
            return Words::say('wiring_up.advice.together', $this->named(...$pair));
        }
        foreach ($wired->wires() as $wire) {
            if ($this->drawn->root($wire->from) !== $this->drawn->root($wire->to)) {
                $wrong[] = [$wire->from, $wire->to];
            }
        }

        return $wrong === []
            ? Words::say('wiring_up.advice.follow')
            : Words::say('wiring_up.advice.apart', $this->named(...$wrong[0]));
    }

    /** @return array{one: string, other: string} */
    private function named(string $one, string $other): array
    {
        return ['one' => $this->drawn->name($one), 'other' => $this->drawn->name($other)];
    }
}
