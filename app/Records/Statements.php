<?php

namespace App\Records;

use App\Models\Attempt;
use OddSpark\Words\Words;
use Ramsey\Uuid\Uuid;

/**
 * An attempt as xAPI 1.0.3 statements: begun, each entry, passed or failed. Ids are the same every time, so that a
 * record store that has them already takes nothing twice.
 *
 * The trainee goes by account and number, not by mail; the fault is in no statement before the hand-back.
 */
class Statements
{
    private const VERB = 'http://adlnet.gov/expapi/verbs/';

    private const EXTENSION = 'urn:odd-spark:xapi:';

    /** @return list<array<string, mixed>> */
    public static function of(Attempt $attempt): array
    {
        $statements = [
            self::statement($attempt, 'begun', 'initialized', 'began', $attempt->created_at?->toIso8601String()),
        ];
        foreach ($attempt->entries as $i => $entry) {
            $statements[] = self::statement(
                $attempt,
                "entry/$entry->id",
                'interacted',
                'did',
                $entry->created_at?->toIso8601String(),
                [
                    'object' => self::activity(
                        "urn:odd-spark:job:$attempt->assignment_id:entry:".($i + 1),
                        $entry->sentence,
                        'interaction',
                    ),
                    'result' => [
                        'response' => $entry->sentence,
                        'extensions' => [self::EXTENSION.'bench-seconds' => $entry->tick / 1000],
                    ],
                ],
            );
        }
        $mark = $attempt->mark;
        if ($attempt->handed_back_at !== null && $mark !== null) {
            $statements[] = self::statement(
                $attempt,
                'judged',
                $mark['passed'] ? 'passed' : 'failed',
                $mark['passed'] ? 'passed' : 'failed',
                $attempt->handed_back_at->toIso8601String(),
                [
                    'result' => [
                        'score' => [
                            'scaled' => round($mark['total'] / 100, 4),
                            'raw' => $mark['total'],
                            'min' => 0,
                            'max' => 100,
                        ],
                        'success' => $mark['passed'],
                        'completion' => true,
                        'duration' => 'PT'.(int) round(($attempt->entries->last()->tick ?? 0) / 1000).'S',
                        'extensions' => [
                            self::EXTENSION.'conclusion' => $mark['verdict'],
                            self::EXTENSION.'house-rules' => "{$mark['rules']['name']} {$mark['rules']['version']}",
                            self::EXTENSION.'lines' => array_map(
                                fn (array $l) => [
                                    'line' => $l['id'],
                                    'title' => Words::say("marking.line.{$l['id']}"),
                                    'points' => $l['points'],
                                    'of' => $l['weight'],
                                ],
                                $mark['lines'],
                            ),
                        ],
                    ],
                ],
            );
        }

        return $statements;
    }

    /**
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    private static function statement(
        Attempt $attempt,
        string $what,
        string $verb,
        string $word,
        ?string $at,
        array $more = [],
    ): array {
        $home = rtrim((string) config('app.url'), '/');

        return $more + [
            'id' => Uuid::uuid5(Uuid::NAMESPACE_URL, "$home/attempts/$attempt->id/$what")->toString(),
            'actor' => [
                'objectType' => 'Agent',
                'name' => $attempt->user->name,
                'account' => ['homePage' => $home, 'name' => "user-$attempt->user_id"],
            ],
            'verb' => ['id' => self::VERB.$verb, 'display' => ['en' => $word]],
            'object' => self::activity(
                "urn:odd-spark:job:$attempt->assignment_id",
                $attempt->assignment->title,
                'simulation',
            ),
            'timestamp' => $at ?? now()->toIso8601String(),
            'version' => '1.0.3',
            'context' => [
                'registration' => Uuid::uuid5(Uuid::NAMESPACE_URL, "$home/attempts/$attempt->id")->toString(),
                'platform' => 'Odd Spark',
                'language' => 'en',
                'extensions' => [self::EXTENSION.'kind' => $attempt->assignment->kind->value],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function activity(string $id, string $name, string $type): array
    {
        return [
            'objectType' => 'Activity',
            'id' => $id,
            'definition' => ['name' => ['en' => $name], 'type' => "http://adlnet.gov/expapi/activities/$type"],
        ];
    }
}
