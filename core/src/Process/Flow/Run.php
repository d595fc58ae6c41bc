<?php

declare(strict_types=1);

namespace OddSpark\Process\Flow;

use OddSpark\Parts\Ability\Carries;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * What a part does to what passes from one of its ports to another: how easily, and what it adds. The network that its
 * ports are joined to works out how much does. Slot: offer, q (in the unit of flow), from, to (pressures at its ends).
 *
 * An offer is: k, the pressure added, a set point, whether it lets through one way only, the pressure of the open.
 * A run without a port at one end leads into the open: the room, the street, the chimney's top.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 * @phpstan-type Offer array{float, float, float|null, bool, float}
 */
abstract class Run extends Primitive implements Carries, NeedsPipes
{
    public const AT_ONCE = true;

    /** Less than this share of its usual flow counts as nothing, when one asks why. */
    private const SOME = 0.3;

    protected readonly ?string $network;

    private readonly string $index;

    /**
     * @param Figures $p from, to: ports of its part; flow, drop: what passes at which pressure across it; ways:
     *     passages of its part that it leads through; free: share of its bore that is clear; passes: share that gets by
     *     when its ways are shut; network, index: as it was joined
     */
    public function __construct(protected readonly array $p, Fittings $f)
    {
        $this->network = $p['network'] ?? null;
        $this->index = (string) ($p['index'] ?? '');
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('free', '', 0.0, 3.0),
            new Figure('passes', '', 0.0, 1.0),
            ...isset($spec['flow']) ? [
                new Figure('flow', Figure::OF_FLOW, 1e-3, 1e7),
                new Figure('drop', Figure::OF_PRESSURE, 1e-6, 1e3),
            ] : [],
        ];
    }

    public static function takenOff(): array
    {
        return ['free' => 0.0, 'passes' => 0.0];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        if (abs((float) $slot['q']) >= self::SOME * (float) ($spec['flow'] ?? 0.0) && $slot['q'] != 0.0) {
            return new Reason(Words::say('process.run.carries_what_it_should'));
        }
        $shut = array_values(
            array_filter($spec['ways'] ?? [], fn (string $way) => ($now->follow($way, 'free') ?? 1.0) < self::SOME),
        );

        return $shut === []
            ? new Reason(Words::say('process.run.is_open_and_next_to'))
            : new Reason(Words::say('process.run.is_shut'), $shut);
    }

    public function initial(): array
    {
        return ['offer' => null, 'q' => 0.0, 'from' => 0.0, 'to' => 0.0];
    }

    public function follows(): array
    {
        return $this->network === null ? [] : [$this->network, ...$this->p['ways'] ?? [], ...array_keys($this->asks())];
    }

    public function reads(): array
    {
        if ($this->network === null) {
            return [];
        }

        return array_merge_recursive(
            [$this->network => [['runs', $this->index]]],
            array_fill_keys($this->p['ways'] ?? [], ['free']),
            $this->asks(),
        );
    }

    /** @return array<string, list<string>> what else its offer depends on: keys of slots by id */
    protected function asks(): array
    {
        return [];
    }

    public function react(array $slot, Surroundings $now): array
    {
        if ($this->network === null) {
            return $slot;
        }
        [$q, $from, $to] = $now->follow($this->network, 'runs', $this->index) ?? [0.0, 0.0, 0.0];

        return ['offer' => $this->offer($slot, $now), 'q' => $q, 'from' => $from, 'to' => $to] + $slot;
    }

    /**
     * @param Slot $slot
     * @return Offer
     */
    abstract protected function offer(array $slot, Surroundings $now): array;

    /** How much passes at a pressure of one, with what blocks it. */
    protected function k(Surroundings $now): float
    {
        $open = 1.0;
        foreach ($this->p['ways'] ?? [] as $way) {
            $open *= (float) ($now->follow($way, 'free') ?? 1.0);
        }
        $open = max($open * (float) ($this->p['free'] ?? 1.0), (float) ($this->p['passes'] ?? 0.0));

        return round(($open * $this->p['flow']) / sqrt(max(1e-9, (float) $this->p['drop'])), 4);
    }

    public function shows(array $slot): string
    {
        return abs((float) $slot['q']) > 0.1 * (float) ($this->p['flow'] ?? 0.0) && $slot['q'] != 0.0 ? 'flows' : '';
    }
}
