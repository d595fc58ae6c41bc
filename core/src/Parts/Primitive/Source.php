<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\IsMains;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * A supply: one hot conductor or several, each an AC source behind its impedance, with the neutral
 * and the ground that come along. They are joined at earth, as at the service.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Source extends Primitive implements IsMains
{
    public const DOES = 'feeds supplies';

    public const LIVE = false;

    /**
     * @param Figures $p rated: what the model's supply is when it has the volts that stand here; volts, degrees and ohm
     *     of every leg, or legs: by terminal {volts, degrees}; ohm,
     *     neutral_ohm,
     *     ground_ohm, neutral_open, off, swapped: the one hot leg and the neutral are exchanged; main: lever of its
     *     part that cuts it off
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    /**
     * Its figures where the supply of the model is another than the one that it is rated for.
     *
     * @param Figures $spec
     * @param float $volts of the model's supply
     * @return Figures
     */
    public static function on(array $spec, float $volts): array
    {
        $share = ($spec['rated'] ?? 0) > 0 ? $volts / $spec['rated'] : 1.0;
        if (isset($spec['legs']) && abs(log(2 * $share)) < abs(log($share))) {
            $share *= 2; // of two legs the volts of one are meant
        }
        if ($share !== 1.0 && isset($spec['volts'])) {
            $spec['volts'] *= $share;
        }
        foreach ($share === 1.0 ? [] : $spec['legs'] ?? [] as $leg => $of) {
            $spec['legs'][$leg]['volts'] = $of['volts'] * $share;
        }

        return $spec;
    }

    public static function wiring(array $spec): array
    {
        $ground = isset($spec['ground']) ? [Wired::ground($spec['ground'])] : [];
        if (! isset($spec['legs'])) {
            return [
                Wired::supply(
                    $spec['hot'],
                    $spec['neutral'],
                    (float) $spec['volts'],
                    self::spoken((float) $spec['volts']),
                ),
                ...$ground,
            ];
        }
        // two legs: what lies between them, and what lies between each and the neutral
        [$one, $two] = array_map('strval', array_keys($spec['legs']));
        $legs = array_map(fn (string $leg) => Wired::supply(
            $leg,
            $spec['neutral'],
            120.0,
            Words::say('parts.source.120_v_to_neutral', ['leg' => $leg]),
        ), [$one, $two]);

        return [Wired::supply($one, $two, 240.0, '240 V'), ...$legs, ...$ground];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('volts', 'V', varies: true),
            new Figure('ohm', 'Ω'),
            new Figure('neutral_ohm', 'Ω'),
            new Figure('ground_ohm', 'Ω'),
        ];
    }

    public static function joins(array $spec): array
    {
        $legs = array_map(fn (string $leg) => [$leg, 'EARTH'], array_map('strval', array_keys(self::legs($spec))));

        return ['branches' => [...$legs, [$spec['neutral'], 'EARTH'], [$spec['ground'], 'EARTH']]];
    }

    public function stamp(array $slot, Values $values): void
    {
        $off = $this->p['off'] ?? false;
        $y = 1 / $this->p['ohm'];
        $branches = $this->f->branches;
        if ($this->p['swapped'] ?? false) { // the same two conductors, each on the other's terminal
            $values->resistor($branches[0], 1 / $this->p['neutral_ohm']);
            $values->resistor($branches[1], $off ? 0.0 : $y);
            $values->source($branches[0], $this->f->nodes['hot'], 0, 0.0, 0.0, 0.0);
            $values->source($branches[1], $this->f->nodes['neutral'], 0, $off ? 0.0 : $this->p['volts'] * $y, 0.0, 0.0);
            $values->resistor($branches[2], 1 / $this->p['ground_ohm']);

            return;
        }
        $b = 0;
        foreach (self::legs($this->p) as $terminal => $leg) {
            $values->resistor($branches[$b], $off ? 0.0 : $y);
            $angle = deg2rad($leg['degrees'] ?? 0);
            $amps = $off ? 0.0 : $leg['volts'] * $y;
            $values->source(
                $branches[$b],
                $this->f->nodes[$terminal],
                0,
                $amps * cos($angle),
                $amps * sin($angle),
                0.0,
            );
            $b++;
        }
        $values->resistor($branches[$b], ($this->p['neutral_open'] ?? false) ? 0.0 : 1 / $this->p['neutral_ohm']);
        $values->resistor($branches[$b + 1], 1 / $this->p['ground_ohm']);
    }

    /**
     * @param Figures $spec
     * @return array<string, array{volts: float, degrees?: float}> by terminal
     */
    private static function legs(array $spec): array
    {
        return $spec['legs'] ?? [$spec['hot'] => ['volts' => $spec['volts'], 'degrees' => $spec['degrees'] ?? 0]];
    }

    private static function spoken(float $volts): string
    {
        return match (true) {
            $volts > 200 => '230 V', $volts > 60 => '120 V', default => round($volts).' V',
        };
    }
}
