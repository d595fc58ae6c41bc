<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\Transforms;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * Two coupled windings: ideal ratio behind copper and leakage. Each winding by itself is its copper
 * in series with its share of the magnetising reactance; at DC its copper is all that is left. Core
 * loss is a resistance across the secondary.
 *
 * Shorted turns are a resistance across the secondary's own turns: they load the core whatever hangs
 * on the terminals.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Windings extends Primitive implements Transforms
{
    public const DOES = 'transforms voltage';

    /** Volts that a secondary is spoken of as having. */
    private const SECONDARY_V = 24.0;

    public const LIVE = false;

    /**
     * @param Figures $p turns_ratio, primary_ohm, secondary_ohm, leakage_ohm (at the secondary),
     *     magnetising_ohm (at the primary), loss_ohm, primary_open, secondary_open, shorted_turns_ohm
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function wiring(array $spec): array
    {
        return [
            Wired::load(...$spec['primary']),
            Wired::supply(
                $spec['secondary'][0],
                $spec['secondary'][1],
                self::SECONDARY_V,
                Words::say('parts.windings.its_secondary_24_v'),
            ),
        ];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('turns_ratio', ': 1', varies: true),
            new Figure('primary_ohm', 'Ω'),
            new Figure('secondary_ohm', 'Ω'),
            new Figure('leakage_ohm', 'Ω'),
            new Figure('magnetising_ohm', 'Ω'),
            new Figure('loss_ohm', 'Ω'),
            new Figure('rated_va', 'VA'),
        ];
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault('primary-open', Words::say('parts.windings.primary_open'), ['primary_open' => true], 0.6),
            new NaturalFault(
                'secondary-open',
                Words::say('parts.windings.secondary_open'),
                ['secondary_open' => true],
                0.6,
            ),
        ];
    }

    public static function draws(array $spec, float $volts): float
    {
        return 0.0; // what a transformer draws is what hangs on it
    }

    public static function joins(array $spec): array
    {
        return [
            'branches' => [$spec['primary'], $spec['secondary'], $spec['secondary']],
            'windings' => [[...$spec['primary'], ...$spec['secondary']]],
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        $p = $this->p;
        $n = $p['turns_ratio'];
        [$primary, $secondary, $loss] = $this->f->branches;
        $primaryOpen = $p['primary_open'] ?? false;
        $secondaryOpen = $p['secondary_open'] ?? false;
        // two magnetising branches, one a winding, each of twice the reactance: together the one there is
        if ($primaryOpen) {
            $values->resistor($primary, 0.0);
        } else {
            $values->impedance($primary, $p['primary_ohm'], 2 * $p['magnetising_ohm']);
        }
        if ($secondaryOpen) {
            $values->resistor($secondary, 0.0);
            $values->resistor($loss, 0.0);
        } else {
            $values->impedance($secondary, $p['secondary_ohm'], (2 * $p['magnetising_ohm']) / ($n * $n));
            $values->resistor(
                $loss,
                1 / $p['loss_ohm'] + (isset($p['shorted_turns_ohm']) ? 1 / $p['shorted_turns_ohm'] : 0.0),
            );
        }
        $r = $p['primary_ohm'] + $n * $n * $p['secondary_ohm'];
        $x = $n * $n * $p['leakage_ohm'];
        $d = $r * $r + $x * $x;
        $values->windings[$this->f->windings[0]] =
            $primaryOpen || $secondaryOpen ? [0.0, 0.0, $n] : [$r / $d, -$x / $d, $n];
    }
}
