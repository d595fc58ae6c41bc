<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * What a control senses by one of its inputs, on or off: volts between two terminals, a flame's current, ohms of
 * something that hangs on it, a process value, or a button. With a threshold to come on and another to go off.
 *
 * @phpstan-import-type Figures from Primitive
 */
final readonly class Input
{
    /**
     * @param Figures $p one of ac: [terminal, terminal] (V), dc: likewise, ua_through: likewise with ohm
     *     (µA),
     *     ohms: likewise (Ω, on when low), of: process id; with on and off; or a {@see Condition} (by, key, when);
     *     after_ms; dead: never on; stuck: always on
     */
    public function __construct(private array $p, private Fittings $f) {}

    public function after(): int
    {
        return $this->p['after_ms'] ?? 0;
    }

    /** Whether it is to be on, seen from how it is. */
    public function wanted(bool $on, Surroundings $now): bool
    {
        if (isset($this->p['dead']) && $this->p['dead']) {
            return false;
        }
        if (isset($this->p['stuck']) && $this->p['stuck']) {
            return true;
        }
        if (isset($this->p['by'])) {
            return Condition::holds($this->p, $now);
        }
        $x = $this->measured($now);
        $isRising = $this->p['on'] >= $this->p['off'];
        $level = (float) ($on ? $this->p['off'] : $this->p['on']);
        // a crossing is found to the tick: the value may stand a hair short of the level, going on as going off
        $slack = isset($this->p['of']) ? Condition::slack($level) : 0.0;
        $towards = $on && $this->hasSpan() ? -$slack : $slack;

        return $isRising ? $x >= $level - $towards : $x <= $level + $towards;
    }

    /** What it measures just now, in its unit; 0 where it asks for a condition. */
    public function value(Surroundings $now): float
    {
        return isset($this->p['by']) ? 0.0 : $this->measured($now);
    }

    /** Id of the primitive whose slot it reads; null when it reads the circuit. */
    public function followed(): ?string
    {
        return $this->p['of'] ?? $this->p['by'] ?? null;
    }

    public function next(Surroundings $now): int
    {
        return match (true) {
            isset($this->p['of']) && ! $this->hasSpan() => Condition::next([
                ['by' => $this->p['of'], 'above' => $this->p['on']],
                ['by' => $this->p['of'], 'below' => $this->p['on']],
            ], $now),
            isset($this->p['of']) => $now->crossing($this->p['of'], [(float) $this->p['on'], (float) $this->p['off']]),
            isset($this->p['by']) => Condition::next([$this->p], $now),
            default => Primitive::NEVER,
        };
    }

    private function hasSpan(): bool
    {
        return (float) $this->p['on'] !== (float) $this->p['off'];
    }

    private function measured(Surroundings $now): float
    {
        $n = $this->f->nodes;
        foreach (['ac', 'dc', 'ua_through', 'ohms'] as $how) {
            if (isset($this->p[$how])) {
                [$a, $b] = [$n[$this->p[$how][0]], $n[$this->p[$how][1]]];

                return match ($how) {
                    'ac' => $now->acVolts($a, $b),
                    'dc' => $now->dcVolts($a, $b),
                    'ua_through' => $now->dcVolts($a, $b) / $this->p['ohm'] * 1e6,
                    'ohms' => $now->solution?->dcOhms($a, $b) ?? INF,
                };
            }
        }

        return $now->value($this->p['of']);
    }
}
