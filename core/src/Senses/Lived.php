<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Household;
use OddSpark\Run\MachineState;

/**
 * What a household has lived through: what it heard and saw, when it called for heat, and how warm it was when it last
 * took notice.
 *
 * @phpstan-type RoomKnown array{name: string, now: float, wants: float, shows?: string|null, blank: bool,
 *     calling: bool}
 */
final readonly class Lived
{
    /**
     * @param array<string, list<array{int, int, string}>> $heard by channel, until it last took notice
     * @param list<RoomKnown> $rooms when the household last took notice
     * @param list<array{int, int}> $called from and to of each stretch in which any room called, until then
     * @param array{now: float, wants: float}|null $hotWater
     * @param array{boiler: float, radiators: list<float>}|null $water degrees of the boiler and of its radiators
     * @param self|null $since the same up to the arrival, where it has done something since
     */
    public function __construct(
        public array $heard,
        public array $rooms,
        public array $called = [],
        public ?array $hotWater = null,
        public ?array $water = null,
        public ?self $since = null,
    ) {}

    /**
     * With the water as it stood when the household last took notice.
     *
     * @param array<string, list<array{int, int, string}>> $heard
     * @param list<RoomKnown> $rooms
     * @param list<array{int, int}> $called
     */
    public static function by(
        Household $household,
        MachineState $noticed,
        array $heard,
        array $rooms,
        array $called,
        ?self $since = null,
    ): self {
        $hotWater = $household->hotWater;

        return new self(
            $heard,
            $rooms,
            $called,
            $hotWater === null ? null : ['now' => $noticed->value($hotWater['of']), 'wants' => $hotWater['wants']],
            $household->boiler === null ? null : [
                'boiler' => $noticed->value($household->boiler),
                'radiators' => array_map(fn (string $of): float => $noticed->value($of), $household->radiators),
            ],
            $since,
        );
    }

    /**
     * Stretches in which any of some channels was perceived as one of some values, in order.
     *
     * @param array<string, list<string>> $what
     * @return list<array{int, int}>
     */
    public function stretches(array $what): array
    {
        $found = [];
        foreach ($what as $channel => $values) {
            foreach ($this->heard[$channel] ?? [] as [$from, $to, $value]) {
                if (in_array($value, $values, true)) {
                    $found[] = [$from, $to];
                }
            }
        }
        sort($found);
        $one = [];
        foreach ($found as [$from, $to]) { // what goes on as another word of the same is one
            $last = array_key_last($one);
            if ($last !== null && $from <= $one[$last][1]) {
                $one[$last][1] = max($one[$last][1], $to);
            } else {
                $one[] = [$from, $to];
            }
        }

        return $one;
    }

    /**
     * Ticks for which it was so.
     *
     * @param array<string, list<string>> $what
     */
    public function total(array $what): int
    {
        return array_sum(array_map(fn (array $s): int => $s[1] - $s[0], $this->stretches($what)));
    }

    /**
     * The longest time for which it was so with nobody calling, ticks.
     *
     * @param array<string, list<string>> $what
     */
    public function uncalled(array $what): int
    {
        $longest = 0;
        foreach ($this->stretches($what) as [$from, $to]) {
            $at = $from;
            foreach ([...$this->called, [$to, $to]] as [$calls, $ends]) {
                if ($ends >= $at) {
                    $longest = max($longest, min($calls, $to) - $at);
                    $at = max($at, $ends);
                }
            }
        }

        return max($longest, $this->since?->uncalled($what) ?? 0);
    }

    /**
     * The longest time for which it was so, ticks.
     *
     * @param array<string, list<string>> $what
     */
    public function longest(array $what): int
    {
        return max([0, ...array_map(fn (array $s): int => $s[1] - $s[0], $this->stretches($what))]);
    }

    /** How long the call that stands has lasted, ticks; 0 when nobody calls. */
    public function waited(): int
    {
        $last = $this->called[count($this->called) - 1] ?? [0, -1];

        return $last[1] >= $this->end($this->heard) ? $last[1] - $last[0] : 0;
    }

    /**
     * The last moment that anything of some channels was perceived.
     *
     * @param array<string, mixed> $channels by name
     */
    public function end(array $channels): int
    {
        $end = 0;
        foreach (array_intersect_key($this->heard, $channels) as $stretches) {
            $end = max($end, $stretches === [] ? 0 : $stretches[count($stretches) - 1][1]);
        }

        return $end;
    }

    /**
     * Whether it was so at the end, or some ticks before.
     *
     * @param array<string, list<string>> $what
     */
    public function lastly(array $what, int $before): bool
    {
        $stretches = $this->stretches($what);

        return $stretches !== [] && $stretches[count($stretches) - 1][1] >= $this->end($what) - $before;
    }
}
