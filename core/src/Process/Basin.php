<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * Where condensate gathers: a collector box, a trap, a pan. It rises while it is made and has no way out, stands while
 * neither, and runs off when its drain is clear. Level 1 is full. Slot: course, aim.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Basin extends Primitive implements NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'condensate water level trap pan drain';

    /** It rises towards this level, so that it is full after some 70 % of its time constant. */
    private const BRIM = 2.0;

    /** From this level on there is something to see. */
    private const SEEN = 0.05;

    /**
     * @param Figures $p fire: what makes it, by its heat, or made_while: list of Condition; ways: drains that it runs
     *     off by, one after another; fills_s: until it is full with its drain shut; empties_s
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [new Figure('fills_s', 's', 10.0, 1e5), new Figure('empties_s', 's', 1.0, 1e4)];
    }

    public function initial(): array
    {
        return ['course' => Response::still(0, 0.0), 'aim' => null];
    }

    public static function isOfTheFire(array $spec): bool
    {
        return isset($spec['fire']);
    }

    public function follows(): array
    {
        $makes = isset($this->p['fire']) ? [$this->p['fire']] : Condition::followed($this->p['made_while']);

        $ids = [];
        foreach ([...$makes, ...$this->p['ways'] ?? []] as $id) {
            $ids[] = (string) $id;
        }

        return $ids;
    }

    public function reads(): array
    {
        return array_merge_recursive(
            isset($this->p['fire']) ? [$this->p['fire'] => ['heat']] : Condition::read($this->p['made_while']),
            array_fill_keys($this->p['ways'] ?? [], ['free']),
        );
    }

    public function react(array $slot, Surroundings $now): array
    {
        $isClear = true;
        foreach ($this->p['ways'] ?? [] as $way) {
            $isClear = $isClear && (float) ($now->follow($way, 'free') ?? 0.0) >= Way::FREE;
        }
        $makes = isset($this->p['fire'])
            ? (float) $now->follow($this->p['fire'], 'heat') > 0.0
            : Condition::allHold($this->p['made_while'], $now);
        $aim = match (true) {
            $isClear => 'empties',
            $makes => 'fills',
            default => 'stands',
        };
        if ($aim === $slot['aim']) {
            return $slot;
        }
        $level = Response::at($slot['course'], $now->tick);
        $course = match ($aim) {
            'empties' => Response::towards($now->tick, $level, 0.0, (float) $this->p['empties_s']),
            'fills' => Response::towards($now->tick, $level, self::BRIM, $this->p['fills_s'] / M_LN2),
            default => Response::still($now->tick, $level),
        };

        return ['course' => $course, 'aim' => $aim];
    }

    public function shows(array $slot): string
    {
        return match ($slot['aim']) {
            'fills' => 'fills',
            // a course that stands is as high at any time
            'stands' => Response::at($slot['course'], 0) > self::SEEN ? 'stands' : '',
            default => '',
        };
    }
}
