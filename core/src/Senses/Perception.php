<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Plan;
use OddSpark\Run\Machine;

/** What can be perceived from where: sounds anywhere, the lamp through the glass, glow and flame with the door off. */
final class Perception
{
    /** @var array<string, array<string, mixed>> channels perceived without doing anything */
    private readonly array $ambient;

    public function __construct(private readonly Plan $plan)
    {
        $this->ambient = array_filter($plan->percepts, fn (array $p) => $p['from'] !== 'look');
    }

    /**
     * The percepts of this moment by channel.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @return array<string, string>
     */
    public function at(Machine $machine, array $state, bool $doorOpen): array
    {
        $now = [];
        foreach ($this->ambient as $channel => $percept) {
            if ($percept['from'] !== 'open' || $doorOpen) {
                $now[$channel] = $machine->shows($state, $percept['of']);
            }
        }

        return $now;
    }

    /**
     * What one looks at when looking at a part, beside its condition.
     *
     * @param array{tick: int, slots: array<string, array<string, mixed>>} $state
     * @return array<string, string> thing => how it is
     */
    public function lookingAt(Machine $machine, array $state, string $part, bool $doorOpen): array
    {
        $seen = [];
        foreach ($this->plan->percepts as $percept) {
            if ($percept['part'] === $part && $percept['sense'] === 'sight' && ($percept['from'] !== 'open' || $doorOpen)) {
                $seen[$percept['thing']] = $this->word($percept, $machine->shows($state, $percept['of']));
            }
        }

        return $seen;
    }

    /** How a percept is said: "inducer runs". */
    public function say(string $channel, string $class): string
    {
        $percept = $this->plan->percepts[$channel];

        return "{$percept['thing']} {$this->word($percept, $class)}";
    }

    /** @param array<string, mixed> $percept */
    private function word(array $percept, string $class): string
    {
        return $percept['say'][$class] ?? $class;
    }
}
