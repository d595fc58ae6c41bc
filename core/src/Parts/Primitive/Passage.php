<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/** How free the way is for air, gas or a pressure signal: 1 clear, 0 shut. Slot: free. */
final class Passage extends Primitive
{
    /** @var list<string> */
    private readonly array $keys;

    private readonly float $free;

    /**
     * @param array<string, mixed> $p free: when open; follows, key, when: what opens it (a lever, a coil), or
     *     clear_when: at which it lies open whatever blocks it (a filter taken out); stuck: open | shut
     */
    public function __construct(private readonly array $p, Fittings $f)
    {
        $this->keys = explode('.', $p['key'] ?? 'at');
        $this->free = (float) ($p['free'] ?? 1.0);
    }

    public function initial(): array
    {
        return ['free' => isset($this->p['follows']) && ! isset($this->p['clear_when']) || ($this->p['stuck'] ?? '') === 'shut' ? 0.0 : $this->free];
    }

    public function follows(): array
    {
        return isset($this->p['follows']) ? [$this->p['follows']] : [];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $at = isset($this->p['follows']) ? $now->follow($this->p['follows'], ...$this->keys) : null;
        if (isset($this->p['clear_when']) && $at === $this->p['clear_when']) {
            return ['free' => 1.0];
        }
        $open = match ($this->p['stuck'] ?? null) {
            'open' => true,
            'shut' => false,
            default => ! isset($this->p['follows']) || isset($this->p['clear_when']) || $at === ($this->p['when'] ?? true),
        };

        return ['free' => $open ? $this->free : 0.0];
    }
}
