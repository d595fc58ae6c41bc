<?php

namespace App\Tasks;

/**
 * The kinds of long work: what does it, which queue it goes to, and how urgent it is among all that one person waits
 * for.
 */
final class Kinds
{
    /** Urgency from which on something may take minutes, and has a worker of its own. */
    public const LONG = 5;

    /** @var array<string, array{class-string<Work>, string, int}> */
    private const ALL = [
        'hint' => [GiveHint::class, 'marks', 0],
        'tell-hint' => [TellHint::class, 'marks', 0],
        'curve' => [FollowSuspects::class, 'asked', 4],
        'mark' => [MarkAttempt::class, 'marks', 1],
        'mark-again' => [MarkAgain::class, 'marks', 3],
        'give' => [GiveJob::class, 'asked', 2],
        'paper' => [MakePaper::class, 'asked', 2],
        'import' => [ImportModel::class, 'asked', 2],
        'pairs' => [WeighPairs::class, 'asked', 4],
        'preview' => [PreviewRules::class, 'asked', 4],
        'drift' => [CompareWithToday::class, 'asked', 4],
        'demo' => [GrowDemo::class, 'default', 9],
        'analysis' => [AnalyseAppliance::class, 'default', 5],
    ];

    /** @return class-string<Work> */
    public static function work(string $kind): string
    {
        return self::ALL[$kind][0];
    }

    public static function queue(string $kind): string
    {
        return self::ALL[$kind][1];
    }

    public static function urgency(string $kind): int
    {
        return self::ALL[$kind][2];
    }
}
