<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Parts\Ability\GoesAlong;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * A fuse or breaker: opens on too much current, the sooner the more. Slot: whole; tripped: a breaker that
 * has to be switched off before it can be switched on; spent: share of the melting done when its rate
 * last changed, at tick since.
 *
 * Time to open at m times the rating: melt_s / (m − 1)², never under 25 ms; below
 * 1.1 times it holds. Bursts add up, since it cools slowly. A common-practice curve, no source.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Fuse extends Primitive implements Blows, GoesAlong
{
    public const DOES = 'blows protects';

    public const VARIES = true;

    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['open', 'amps', 'melt_s'];

    private const COOLS_S = 8.0;

    private readonly float $siemens;

    private readonly float $amps;

    private readonly float $melt;

    private readonly ?string $lever;

    private readonly bool $open;

    private readonly bool $out;

    /**
     * @param Figures $p amps, ohm, melt_s, open: blown from the start, lever: of a breaker,
     *     opened by hand and by trip; out: drawn from its holder, whole or not
     */
    public function __construct(array $p, private readonly Fittings $f)
    {
        $this->siemens = 1 / ($p['ohm'] ?? 0.01);
        $this->amps = $p['amps'];
        $this->melt = $p['melt_s'] ?? 1.0;
        $this->open = $p['open'] ?? false;
        $this->out = $p['out'] ?? false;
        $this->lever = $p['lever'] ?? null;
    }

    public static function wiring(array $spec): array
    {
        return [Wired::switch(...$spec['between'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('amps', 'A'),
            new Figure('ohm', 'Ω'),
            new Figure('melt_s', 's'),
        ];
    }

    public static function takenOff(): array
    {
        return ['out' => true];
    }

    public static function faults(array $spec): array
    {
        return [new NaturalFault('open', 'blown', ['open' => true], 0.6)];
    }

    public static function hasGone(array $slot): bool
    {
        return ! $slot['whole'];
    }

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return new Reason(
            $slot['tripped'] ? Words::say('parts.fuse.is_tripped') : Words::say('parts.fuse.is_open'),
            isset($spec['lever']) ? [$spec['lever']] : [],
        );
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [$spec['between']]];
    }

    public function electric(array $slot): string
    {
        return $slot['whole'] && ! $this->out ? '1' : '0';
    }

    public function initial(): array
    {
        return [
            'whole' => ! $this->open,
            'spent' => 0.0,
            'rate' => 0.0,
            'since' => 0,
            'due' => null,
            'tripped' => false,
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        $values->resistor($this->f->branches[0], $slot['whole'] && ! $this->out ? $this->siemens : 0.0);
    }

    public function follows(): array
    {
        return $this->lever === null ? [] : [$this->lever];
    }

    public function react(array $slot, Surroundings $now): array
    {
        if ($this->out) {
            return ['due' => null] + $slot;
        }
        if ($this->lever !== null) {
            $at = $now->follow($this->lever, 'at');
            if ($at !== 'on') {
                return ['whole' => false, 'due' => null, 'tripped' => false] + $slot;
            }
            if (! $slot['whole'] && ! $this->open && ! $slot['tripped']) {
                return [
                    'whole' => true,
                    'spent' => 0.0,
                    'rate' => 0.0,
                    'since' => $now->tick,
                    'due' => null,
                    'tripped' => false,
                ];
            }
        }
        if (! $slot['whole'] || $this->open) {
            return $slot['whole'] ? ['whole' => false, 'due' => null] + $slot : $slot;
        }
        $times = $now->acVolts($this->f->nodes['a'], $this->f->nodes['b']) * $this->siemens / $this->amps;
        // share of the melting done in a second
        $rate = $times < 1.1 ? 0.0 : round(min(40.0, ($times - 1) ** 2 / $this->melt), 3);
        if ($slot['due'] !== null && $now->tick >= $slot['due']) {
            return ['whole' => false, 'due' => null, 'tripped' => true] + $slot;
        }
        if ($rate === $slot['rate']) {
            return $slot;
        }
        $seconds = ($now->tick - $slot['since']) / 1000;
        $spent =
            $slot['rate'] > 0
                ? $slot['spent'] + $slot['rate'] * $seconds
                : $slot['spent'] * exp(-$seconds / self::COOLS_S);
        $due = $rate > 0 ? $now->tick + (int) ceil((1000 * max(0.0, 1 - $spent)) / $rate) : null;

        return [
            'whole' => true,
            'spent' => $spent,
            'rate' => $rate,
            'since' => $now->tick,
            'due' => $due,
            'tripped' => false,
        ];
    }

    public function next(array $slot, Surroundings $now): int
    {
        return $slot['due'] ?? self::NEVER;
    }

    public function shows(array $slot): string
    {
        return match (true) {
            $slot['whole'] => '',
            $this->lever !== null => $slot['tripped'] ? 'tripped' : '', // what does not make inside is not seen
            default => 'open',
        };
    }
}
