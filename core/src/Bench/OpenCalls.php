<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Household;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Surroundings;
use OddSpark\Run\MachineState;

/** Since when each room has been calling for heat without a break. */
final class OpenCalls
{
    /** A call that has lasted less has not been left waiting: a start takes that long, ticks. */
    private const START = 150_000;

    /** @var array<string, int> tick by room */
    private array $since = [];

    /** @var list<array{int, int}> stretches in which any called */
    private array $called = [];

    private ?int $open = null;

    public function __construct(private readonly Household $household) {}

    public function hear(MachineState $state): void
    {
        $now = new Surroundings($state->tick, $state->slots);
        foreach ($this->household->rooms as $room) {
            if (Condition::holds($room['calls'], $now)) {
                $this->since[$room['of']] ??= $state->tick;
            } else {
                unset($this->since[$room['of']]);
            }
        }
        $water = $this->household->hotWater['calls'] ?? null;
        if ($this->since !== [] || $water !== null && Condition::holds($water, $now)) {
            $this->open ??= $state->tick;
        } elseif ($this->open !== null) {
            $this->called[] = [$this->open, $state->tick];
            $this->open = null;
        }
    }

    /**
     * @return list<array{int, int}> from and to of each stretch in which any room or the hot water called, the last
     *     cut at a tick
     */
    public function until(int $tick): array
    {
        return $this->open === null ? $this->called : [...$this->called, [$this->open, $tick]];
    }

    /** @return list<string> rooms that call and have been left waiting at a tick */
    public function waiting(int $tick): array
    {
        return array_keys(array_filter($this->since, fn (int $since): bool => $tick - $since >= self::START));
    }
}
