<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * A process value that settles towards a target with a time constant, both set by the state of the rest. Slot: course,
 * aim.
 *
 * @phpstan-import-type Figures from Primitive
 */
abstract class Settling extends Primitive
{
    public const AT_ONCE = true;

    /** @param Figures $p start: value at the beginning, and what the element needs */
    final public function __construct(protected readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['course' => Response::still(0, (float) ($this->p['start'] ?? 0.0)), 'aim' => null];
    }

    public function react(array $slot, Surroundings $now): array
    {
        $aim = $this->aim($now);
        if ($aim === $slot['aim']) {
            return $slot;
        }

        return [
            'course' => Response::towards($now->tick, Response::at($slot['course'], $now->tick), ...$aim),
            'aim' => $aim,
        ];
    }

    /** @return array{float, float} target and time constant, s */
    abstract protected function aim(Surroundings $now): array;

    /**
     * Product of the ways named, 1 when all are clear.
     *
     * @param list<string> $ways
     */
    protected function free(Surroundings $now, array $ways): float
    {
        $free = 1.0;
        foreach ($ways as $way) {
            $free *= $now->follow($way, 'free') ?? 1.0;
        }

        return $free;
    }
}
