<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\IsWarm;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * The flue gas as it leaves an exchanger: as warm as the metal and, by the share that has not been taken from it, as
 * the flame; more of it gets past the faster it flows. Slot: course, leader.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class StackHeat extends Primitive implements IsWarm, NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'stack temperature';

    /** How what gets past goes with the flow: with its root, as far as this; a rule of this product. */
    private const FASTEST = 2.0;

    /**
     * @param Figures $p fire; sees: the store that it heats; flame: degrees of what heats it; passes: share that gets
     *     past at the usual flow; air: the run that it flows through, usual: its flow; around: degrees
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [
            new Figure('around', Figure::DEGREES, -60.0, 250.0),
            new Figure('flame', Figure::DEGREES, 100.0, 1650.0),
            new Figure('passes', '', 0.0, 1.0),
            new Figure('usual', Figure::OF_FLOW, 1e-3, 1e7),
        ];
    }

    public function initial(): array
    {
        return ['course' => Response::still(0, (float) $this->p['around']), 'leader' => null];
    }

    public function follows(): array
    {
        return [$this->p['fire'], $this->p['sees'], $this->p['air']];
    }

    public function reads(): array
    {
        return [$this->p['fire'] => ['heat'], $this->p['sees'] => ['course'], $this->p['air'] => ['q']];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $p = $this->p;
        $burns = (float) $now->follow($p['fire'], 'heat') > 0.0;
        $flow = max(0.0, (float) $now->follow($p['air'], 'q')) / max(1e-6, (float) $p['usual']);
        $past = $burns ? min(1.0, $p['passes'] * sqrt(min(self::FASTEST, $flow))) : 0.0;
        // without a fire it does not matter how warm the metal is
        $leader = $burns
            ? [$now->course($p['sees']), round($past * $p['flame'], 3), round(1 - $past, 5)]
            : [Response::still(0, 0.0), (float) $p['around'], 0.0];
        if ($leader === $slot['leader']) {
            return $slot;
        }

        return [
            'course' => Response::behind($now->tick, Response::at($slot['course'], $now->tick), ...[...$leader, 20.0]),
            'leader' => $leader,
        ];
    }
}
