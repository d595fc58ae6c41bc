<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * Two coupled windings: ideal ratio behind copper and leakage, a magnetising branch across the
 * primary and a core-loss resistance across the secondary. At DC each winding is its copper.
 */
final class Windings extends Primitive
{
    public const LIVE = false;

    private const OPEN = 0.0;

    /** @param array<string, mixed> $p turns_ratio, primary_ohm, secondary_ohm, leakage_ohm (at the secondary), magnetising_ohm, loss_ohm, primary_open, secondary_open */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function joins(array $spec): array
    {
        return [
            'branches' => [$spec['primary'], $spec['secondary']],
            'windings' => [[...$spec['primary'], ...$spec['secondary']]],
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        $p = $this->p;
        $n = $p['turns_ratio'];
        [$primary, $secondary] = $this->f->branches;
        $whole = ! ($p['primary_open'] ?? false) && ! ($p['secondary_open'] ?? false);
        // branches: what each winding draws by itself, and its copper at DC
        $values->re[$primary] = 0.0;
        $values->im[$primary] = ($p['primary_open'] ?? false) ? self::OPEN : -1 / $p['magnetising_ohm'];
        $values->dc[$primary] = ($p['primary_open'] ?? false) ? self::OPEN : 1 / $p['primary_ohm'];
        $values->re[$secondary] = ($p['secondary_open'] ?? false) ? self::OPEN : 1 / $p['loss_ohm'];
        $values->im[$secondary] = 0.0;
        $values->dc[$secondary] = ($p['secondary_open'] ?? false) ? self::OPEN : 1 / $p['secondary_ohm'];
        $r = $p['primary_ohm'] + $n * $n * $p['secondary_ohm'];
        $x = $n * $n * $p['leakage_ohm'];
        $d = $r * $r + $x * $x;
        $values->windings[$this->f->windings[0]] = $whole ? [$r / $d, -$x / $d, $n] : [0.0, 0.0, $n];
    }
}
