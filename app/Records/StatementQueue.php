<?php

namespace App\Records;

use App\Models\Attempt;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;

/**
 * Statements on their way to a learning record store (xAPI 1.0.3, part three: POST statements, in a batch), where one
 * is
 * configured (SPARK_LRS_URL, SPARK_LRS_KEY, SPARK_LRS_SECRET). They are kept till it has taken them, each once by its
 * id;
 * one that it refuses is kept with the reason and not sent again.
 */
class StatementQueue
{
    private const BATCH = 50;

    /** Seconds until a store that does not answer is tried again; doubled each time, up to the longest. */
    private const FIRST_WAIT_S = 5;

    private const LONGEST_WAIT_S = 3600;

    private const TIMEOUT_S = 10;

    public static function isConfigured(): bool
    {
        return (string) config('spark.lrs.url') !== '';
    }

    /** All of an attempt that is marked; what is in the queue already, or was taken, is not sent twice by its id. */
    public static function add(Attempt $attempt): void
    {
        if (! self::isConfigured() || ! $attempt->assignment->kind->counts()) {
            return;
        }
        foreach (Statements::of($attempt) as $statement) {
            DB::table('statement_queue')->insertOrIgnore([
                'statement_id' => $statement['id'], 'statement' => json_encode($statement, JSON_THROW_ON_ERROR),
            ]);
        }
    }

    /** Sends what is due; returns how many were taken. */
    public static function send(): int
    {
        if (! self::isConfigured()) {
            return 0;
        }
        $rows = DB::table('statement_queue')
            ->whereNull('refused')->where('next_at', '<=', now())->orderBy('id')->limit(self::BATCH)
            ->get(['id', 'statement', 'tries'])->all();
        if ($rows === []) {
            return 0;
        }
        $response = self::post($rows);
        if ($response !== null && ($response->successful() || $response->status() === 409)) {
            return self::taken($rows); // 409: it has them already
        }
        if ($response !== null && $response->status() === 400) {
            return self::oneByOne($rows, $response);
        }
        // away, busy, or not letting us in: later
        $tries = max(array_column($rows, 'tries'));
        DB::table('statement_queue')->whereIn('id', array_column($rows, 'id'))->update([
            'tries' => $tries + 1,
            'next_at' => now()->addSeconds(min(self::LONGEST_WAIT_S, self::FIRST_WAIT_S * 2 ** min(12, $tries))),
        ]);

        return 0;
    }

    /**
     * A batch is refused whole when one of it is wrong: that one is found, and the others go on.
     *
     * @param list<\stdClass> $rows
     */
    private static function oneByOne(array $rows, Response $refusal): int
    {
        if (count($rows) === 1) {
            DB::table('statement_queue')->where('id', $rows[0]->id)->update(
                ['refused' => mb_substr($refusal->body(), 0, 500)],
            );

            return 0;
        }
        $taken = 0;
        foreach ($rows as $row) {
            $response = self::post([$row]);
            if ($response === null || $response->serverError()) {
                return $taken;
            }
            if ($response->successful() || $response->status() === 409) {
                $taken += self::taken([$row]);
            } elseif ($response->status() === 400) {
                self::oneByOne([$row], $response);
            }
        }

        return $taken;
    }

    /** @param list<\stdClass> $rows */
    private static function taken(array $rows): int
    {
        return DB::table('statement_queue')->whereIn('id', array_column($rows, 'id'))->delete();
    }

    /** @param list<\stdClass> $rows */
    private static function post(array $rows): ?Response
    {
        try {
            return self::store()->post(
                'statements',
                array_map(fn (\stdClass $r) => json_decode($r->statement, true), $rows),
            );
        } catch (ConnectionException) {
            return null;
        }
    }

    private static function store(): PendingRequest
    {
        return Http::baseUrl(rtrim((string) config('spark.lrs.url'), '/'))
            ->withBasicAuth((string) config('spark.lrs.key'), (string) config('spark.lrs.secret'))
            ->withHeaders(['X-Experience-API-Version' => '1.0.3'])
            ->timeout(self::TIMEOUT_S)
            ->acceptJson();
    }
}
