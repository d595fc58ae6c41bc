<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Suspects\Suspects;

/** What those that stand come to for somebody who has to put it right: which part, and which repair. */
final readonly class Standing
{
    /** Share of compounds up to which they keep nothing open: they are always a little possible. Ours. */
    private const BESIDE = 0.1;

    public function __construct(private FaultSet $faultSet) {}

    /** Whether the single faults that stand lie in one part and want one repair, so that the trace has ended. */
    public function isDown(Suspects $known): bool
    {
        $repairs = [];
        $beside = 0.0;
        foreach (array_keys($known->weights) as $id) {
            $fault = $this->faultSet->faults[$id] ?? null;
            if ($fault === null) {
                return false;
            }
            if ($fault->members !== []) {
                $beside += $known->share((string) $id);
            } else {
                $repairs[self::repair($fault)] = true;
            }
        }

        return count($repairs) === 1 && $beside <= self::BESIDE;
    }

    /** Share of the single faults that lie in the part of a fault and want its repair. */
    public function shareLike(Suspects $known, Fault $fault): float
    {
        $share = 0.0;
        foreach (array_keys($known->weights) as $id) {
            $other = $this->faultSet->faults[$id] ?? null;
            if ($other !== null && $other->members === [] && self::repair($other) === self::repair($fault)) {
                $share += $known->share((string) $id);
            }
        }

        return $share;
    }

    private static function repair(Fault $fault): string
    {
        return "$fault->part $fault->repair";
    }
}
