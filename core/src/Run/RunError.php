<?php

declare(strict_types=1);

namespace OddSpark\Run;

/** The run cannot go on: the appliance does not come to rest, or is asked for what it has not. */
final class RunError extends \DomainException
{
    /** @param list<string> $restless */
    public static function restless(float $seconds, array $restless): self
    {
        return new self(
            sprintf(
                'At %.3f s the appliance does not come to rest: %s keep changing at the same instant.',
                $seconds,
                implode(', ', $restless),
            ),
        );
    }

    /** @param int $most moments that were allowed */
    public static function unending(float $seconds, int $most): self
    {
        return new self(
            sprintf(
                'More than %s changes by %.0f s into the run: something chatters, or a figure is far off.',
                number_format($most),
                $seconds,
            ),
        );
    }

    public static function noValue(string $primitive): self
    {
        return new self(
            "\"$primitive\" would have a resistance that is zero, below zero or no number: a fault or a parameter sets it so.",
        );
    }

    public static function followsNothing(string $primitive, string $followed): self
    {
        return new self("\"$primitive\" follows \"$followed\", which is not in this appliance.");
    }
}
