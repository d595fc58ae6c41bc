<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * A way for water, oil, gas or heat that is free while all of some conditions hold, or any of others. Slot: free.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Requirement from Condition
 */
final class Way extends Primitive
{
    public const AT_ONCE = true;

    /** From here on enough goes through that it does not count as shut. */
    public const FREE = 0.3;

    public const GIVEN = [
        'all' => 'conditions?',
        'any' => 'conditions?',
        'share' => 'number?',
        'passes' => 'number?',
        'stuck' => 'text?',
    ];

    /** @var list<Requirement> */
    private readonly array $all;

    /** @var list<Requirement> */
    private readonly array $any;

    private readonly float $share;

    /**
     * @param Figures $p all, any: {@see Condition}s; share: how free it is then (1); passes: what
     *     leaks by when shut (0); stuck: open | shut
     */
    public function __construct(private readonly array $p, Fittings $f)
    {
        $this->all = $p['all'] ?? [];
        $this->any = $p['any'] ?? [];
        $this->share = (float) ($p['share'] ?? 1.0);
    }

    public static function figures(array $spec): array
    {
        return [new Figure('passes', '', 0.0, 1.0), new Figure('share', '', 0.0, 1.0)];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if (($slot['free'] ?? 1.0) >= self::FREE) {
            return new Reason(Words::say('process.way.is_free'));
        }
        $conditions = [...($spec['all'] ?? []), ...($spec['any'] ?? [])];
        $missing = array_filter($conditions, fn (array $c) => ! Condition::holds($c, $now));

        return new Reason(Words::say('process.way.is_shut'), array_values(array_column($missing, 'by')));
    }

    public function initial(): array
    {
        return ['free' => 0.0];
    }

    public function follows(): array
    {
        return Condition::followed([...$this->all, ...$this->any]);
    }

    public function reads(): array
    {
        return Condition::read([...$this->all, ...$this->any]);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $open = match ($this->p['stuck'] ?? null) {
            'open' => true,
            'shut' => false,
            default => Condition::allHold($this->all, $now) && $this->anyHolds($now),
        };

        return ['free' => $open ? $this->share : (float) ($this->p['passes'] ?? 0.0)];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return Condition::next([...$this->all, ...$this->any], $now);
    }

    private function anyHolds(Surroundings $now): bool
    {
        foreach ($this->any as $c) {
            if (Condition::holds($c, $now)) {
                return true;
            }
        }

        return $this->any === [];
    }

    public function shows(array $slot): string
    {
        return $slot['free'] > 0.5 ? 'open' : '';
    }
}
