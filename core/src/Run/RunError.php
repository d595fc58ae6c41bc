<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Words\Words;

/** The run cannot go on: the appliance does not come to rest, or is asked for what it has not. */
final class RunError extends \DomainException
{
    /** @param list<string> $restless */
    public static function restless(float $seconds, array $restless): self
    {
        return new self(
            Words::say('run.run_error.at_s_the_appliance_does', [
                'seconds' => sprintf('%.3f', $seconds),
                'restless' => implode(', ', $restless),
            ]),
        );
    }

    /** @param int $most moments that were allowed */
    public static function unending(float $seconds, int $most): self
    {
        return new self(
            Words::say('run.run_error.more_than_changes_by_s', [
                'most' => number_format($most),
                'seconds' => sprintf('%.0f', $seconds),
            ]),
        );
    }

    public static function noValue(string $primitive): self
    {
        return new self(
            Words::say('run.run_error.would_have_a_resistance_that', ['primitive' => $primitive]),
        );
    }

    public static function followsNothing(string $primitive, string $followed): self
    {
        return new self(Words::say('run.run_error.follows_which_is_not_in', [
            'primitive' => $primitive,
            'followed' => $followed,
        ]));
    }
}
