<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * How free the way is for air, gas or a pressure signal: 1 clear, 0 shut. Slot: free.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Passage extends Primitive
{
    /** From here on enough goes through that it does not count as shut. */
    public const FREE = 0.3;

    public const DOES = 'lets through';

    /** @var list<string> */
    private readonly array $keys;

    private readonly float $free;

    /**
     * @param Figures $p free: when open; follows, key, when: what opens it (a lever, a coil), or
     *     clear_when: at which it lies open whatever blocks it (a filter taken out); stuck: open | shut
     */
    public function __construct(private readonly array $p, Fittings $f)
    {
        $this->keys = explode('.', $p['key'] ?? 'at');
        $this->free = (float) ($p['free'] ?? 1.0);
    }

    public static function figures(array $spec): array
    {
        return [new Figure('free', '')];
    }

    public static function takenOff(): array
    {
        return ['free' => 0.0];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if (($slot['free'] ?? 1.0) >= self::FREE) {
            return new Reason(Words::say('parts.passage.is_free'));
        }
        $conditions = isset($spec['follows'])
            ? [
                [
                    'by' => $spec['follows'],
                    'key' => $spec['key'] ?? 'at',
                    'when' => $spec['when'] ?? ($spec['clear_when'] ?? true),
                ],
            ]
            : [];
        $missing = array_filter($conditions, fn (array $c) => ! Condition::holds($c, $now));

        return new Reason(Words::say('parts.passage.is_shut'), array_values(array_column($missing, 'by')));
    }

    public function initial(): array
    {
        return [
            'free' => (isset($this->p['follows']) && ! isset(
                $this->p['clear_when'],
            )) || ($this->p['stuck'] ?? '') === 'shut'
                    ? 0.0
                    : $this->free,
        ];
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
            default => ! isset($this->p['follows']) ||
                isset($this->p['clear_when']) ||
                $at === ($this->p['when'] ?? true),
        };

        return ['free' => $open ? $this->free : 0.0];
    }
}
