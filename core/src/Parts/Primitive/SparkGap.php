<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Parts\Ability\Sparks;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Reason;
use OddSpark\Parts\Surroundings;
use OddSpark\Words\Words;

/**
 * A spark from its generator over its lead to the gap of the electrode, and to ground by the metal of the burner. What
 * it cannot reach there it jumps to somewhere nearer. Slot: on (the generator works), free (1 while it sparks at the
 * electrode), where ('' | burner | beside: by cracked porcelain, or by a gap that is shorter | inside).
 *
 * @phpstan-import-type Figures from Primitive
 */
final class SparkGap extends Primitive implements Sparks
{
    public const READS_CIRCUIT = true;

    public const AT_ONCE = true;

    public const DOES = 'spark ignites lead electrode';

    /**
     * Ohms of a lead over which it still gets to the electrode: it jumps a bad joint, and no lead that is loose or
     * broken. Common practice, no source.
     */
    public const JUMPS_OHM = 1e9;

    /**
     * @param Figures $p by: the generator; electrode: what of the electrode it needs whole; from: terminal of the lead;
     *     tip: where it ends, if there is a lead that can be taken off
     */
    public function __construct(private readonly array $p, private readonly Fittings $f) {}

    public static function why(array $spec, array $slot, Surroundings $now): Reason
    {
        return match (true) {
            $slot['where'] === 'burner' => new Reason('sparks.'),
            $slot['on'] => new Reason(Words::say('parts.spark_gap.jumps_elsewhere_its_lead_or'), [$spec['electrode']]),
            default => new Reason(Words::say('parts.spark_gap.does_not_spark'), [$spec['by']]),
        };
    }

    public function initial(): array
    {
        return ['on' => false, 'free' => 0.0, 'where' => ''];
    }

    public function follows(): array
    {
        return [$this->p['by'], $this->p['electrode']];
    }

    public function reads(): array
    {
        return [$this->p['by'] => ['on'], $this->p['electrode'] => ['free']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $isOn = $now->follow($this->p['by'], 'on') === true;
        $where = match (true) {
            ! $isOn => '',
            ! $this->isLed($now) => 'inside',
            (float) $now->follow($this->p['electrode'], 'free') > 0.5 => 'burner',
            default => 'beside',
        };

        return ['on' => $isOn, 'free' => $where === 'burner' ? 1.0 : 0.0, 'where' => $where];
    }

    private function isLed(Surroundings $now): bool
    {
        $tip = $this->f->nodes['tip'] ?? null;

        return $tip === null ||
            $now->solution === null ||
            $now->solution->dcOhms($this->f->nodes['from'], $tip) < self::JUMPS_OHM;
    }

    public function shows(array $slot): string
    {
        return $slot['where'];
    }
}
