<?php

declare(strict_types=1);

namespace OddSpark\Parts\Primitive;

use OddSpark\Circuit\Values;
use OddSpark\Parts\Ability\MovesSpindle;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Trade\Response;

/**
 * The head of a three-port mid-position valve: rests at hot water, goes half way when heating is wanted, and
 * all the way when hot water is satisfied too; there its switch feeds the boiler. Fed on grey alone it
 * holds where it is. Slot: course of its position (0 hot water, 0.5 both, 1 heating), target, full.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class MidPosition extends Primitive implements MovesSpindle
{
    public const READS_CIRCUIT = true;

    public const MECHANICAL = ['run_v', 'travel_s', 'seized', 'headless', 'switch_dead'];

    private const CONSTANTS = 3.0;

    private const FULL = 0.95;

    /** From where on its marker stands nearer to the next word: the middle, heating. */
    private const MARKS = ['both' => 0.25, 'heating' => 0.75];

    /** Where the spindle holds it. */
    private readonly ?float $seized;

    /**
     * @param Figures $p white, grey, neutral: terminals; ohm: of the motor,
     *     on each; run_v; travel_s; open: motor dead; seized: at 0..1; headless: off its body, so that
     *     nothing holds it; switch_dead
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $isHeld = isset($p['seized']) && ! ($p['headless'] ?? false);
        $this->seized = $isHeld ? (float) $p['seized'] : null;
    }

    public static function wiring(array $spec): array
    {
        return [Wired::load($spec['white'], $spec['neutral']), Wired::load($spec['grey'], $spec['neutral'])];
    }

    public static function figures(array $spec): array
    {
        return [
            new Figure('ohm', 'Ω'),
            new Figure('run_v', 'V'),
            new Figure('travel_s', 's'),
        ];
    }

    public static function joins(array $spec): array
    {
        return ['branches' => [[$spec['white'], $spec['neutral']], [$spec['grey'], $spec['neutral']]]];
    }

    public function initial(): array
    {
        $at = $this->seized ?? 0.0;

        return [
            'course' => Response::still(0, $at),
            'target' => $at,
            'full' => $at >= self::FULL,
            'marker' => $this->marker($at, 0.0),
        ];
    }

    public function stamp(array $slot, Values $values): void
    {
        foreach ($this->f->branches as $b) {
            $values->resistor($b, ($this->p['open'] ?? false) ? 0.0 : 1 / $this->p['ohm']);
        }
    }

    public function react(array $slot, Surroundings $now): array
    {
        if (
            $this->seized !== null &&
            ($slot['target'] !== $this->seized || $slot['course'][2] !== [])
        ) {
            $slot =
                [
                    'course' => Response::still($now->tick, $this->seized),
                    'target' => $this->seized,
                ] + $slot;
        }
        $at = Response::at($slot['course'], $now->tick);
        $target = $slot['target'];
        if ($this->seized === null) {
            $target = $this->aim($now, $at, $target);
            if ($target !== $slot['target']) {
                $slot['course'] =
                    $target === $at
                        ? Response::still($now->tick, $at)
                        : Response::towards($now->tick, $at, $target, $this->p['travel_s'] / self::CONSTANTS);
                $slot['target'] = $target;
            }
        }
        // a crossing is found to the tick, so it may stand a hair short of the level, on its way there or back
        $hair = $target >= $at ? -1e-6 : 1e-6;
        $here = Response::at($slot['course'], $now->tick);
        $slot['full'] = ! ($this->p['switch_dead'] ?? false) && $here >= self::FULL + $hair;
        $slot['marker'] = $this->marker($here, $hair);

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $next = self::NEVER;
        foreach ([...array_values(self::MARKS), self::FULL] as $level) {
            $next = min($next, Response::crossing($slot['course'], $level, $now->tick) ?? self::NEVER);
        }

        return $next;
    }

    public function shows(array $slot): string
    {
        return $slot['marker'];
    }

    /** Where its marker stands: where the valve is, and not where it is going. */
    private function marker(float $at, float $hair): string
    {
        return match (true) {
            $at >= self::MARKS['heating'] + $hair => 'heating',
            $at >= self::MARKS['both'] + $hair => 'both',
            default => 'hot water',
        };
    }

    private function aim(Surroundings $now, float $at, float $target): float
    {
        $n = $this->f->nodes;
        $dead = $this->p['open'] ?? false;
        $white = ! $dead && $now->acVolts($n['white'], $n['neutral']) >= $this->p['run_v'];
        $grey = ! $dead && $now->acVolts($n['grey'], $n['neutral']) >= $this->p['run_v'];

        return match (true) {
            $white && $grey => 1.0,
            $white => 0.5,
            $grey => abs($target - $at) < 0.05 ? $target : round($at, 2), // fed: it holds
            default => 0.0,
        };
    }
}
