<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Appliance\Plan;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Run\MachineState;

/**
 * A box with four pairs of clips that is left behind and writes down what lies between each pair: volts, at the
 * impedance of a meter. It goes on when nobody is there.
 *
 * @phpstan-import-type Joint from MachineState
 */
final readonly class Logger
{
    public const PAIRS = 4;

    /** What it can be set to. */
    public const MODES = [Mode::VoltsAc, Mode::VoltsDc, Mode::Millivolts];

    private const CHANNEL = 'logger ';

    /** Digits that it writes down: enough to tell, and few enough that a chart stands still while nothing happens. */
    private const DIGITS = 2;

    /** Under this it writes nothing, in units of its mode. */
    private const LEAST = ['vac' => 0.5, 'vdc' => 0.2, 'mvdc' => 5.0];

    /** Whether something that is perceived is what a logger wrote down. */
    public static function isOf(string $channel): bool
    {
        return str_starts_with($channel, self::CHANNEL);
    }

    /** What its chart is called among what is perceived; null while it is not on. */
    public static function channel(BenchState $state): ?string
    {
        return $state->logged === []
            ? null
            : self::CHANNEL."{$state->loggerMode->value} ".implode(' ', array_merge(...$state->logged));
    }

    /**
     * What the name of a channel says.
     *
     * @return array{Mode, list<array{string, string}>} its mode, and its pairs of places
     */
    public static function named(string $channel): array
    {
        $words = explode(' ', $channel);
        $pairs = array_map(fn (array $pair): array => [$pair[0], $pair[1]], array_chunk(array_slice($words, 2), 2));

        return [Mode::from($words[1]), $pairs];
    }

    /**
     * What it is electrically.
     *
     * @return list<Joint>
     */
    public static function load(Plan $plan, BenchState $state): array
    {
        $load = [];
        foreach ($state->logged as [$from, $to]) {
            if ($plan->places[$from] !== $plan->places[$to]) {
                $load[] = [$plan->places[$from], $plan->places[$to], $state->loggerMode->siemens()];
            }
        }

        return $load;
    }

    /** What it writes down: a figure for each of its pairs, with a blank between them. */
    public static function writes(Site $site): string
    {
        $state = $site->state;
        $mode = $state->loggerMode;
        $solution = $site->machine->solution($state);
        $figures = [];
        foreach ($state->logged as [$from, $to]) {
            $figures[] = self::figure($mode, Meter::exact(
                $mode,
                $solution,
                $site->plan->places[$from],
                $site->plan->places[$to],
            ));
        }

        return implode(' ', $figures);
    }

    /** What it writes down of what lies between two places, in units of its mode. */
    public static function figure(Mode $mode, float $exact): float
    {
        return abs($exact) < self::LEAST[$mode->value]
            ? 0.0
            : round($exact, self::DIGITS - 1 - (int) floor(log10(abs($exact))));
    }
}
