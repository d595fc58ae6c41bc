<?php

namespace App\Records;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\Entry;
use App\Models\Mark;
use App\Models\MarkOverride;

/**
 * An attempt for the file: every entry and what was noted round it, every mark with its rules, what was set by hand,
 * and
 * the hash of the appliance, signed (Ed25519, RFC 8032) with a key that is not in the database. Whoever has the public
 * key sees whether a letter of it was changed since.
 *
 * What is signed are the bytes of "paper" as JSON without blanks, slashes and letters as they are, keys in the order
 * given here.
 */
class ExamPaper
{
    private const FORMAT = 'odd-spark-paper 1';

    private const JSON = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION |
        JSON_THROW_ON_ERROR;

    /** @return array{format: string, paper: array<string, mixed>, key: string, signature: string} */
    public static function of(Attempt $attempt): array
    {
        $seed = (string) config('spark.signing_key');
        abort_if($seed === '', 503, 'This installation has no key to sign with. Run ./spark up once.');
        $pair = sodium_crypto_sign_seed_keypair(sodium_hex2bin($seed));
        // as it is read again from the file, so that the same bytes are signed and verified
        $paper = json_decode(json_encode(self::paper($attempt), self::JSON), true);

        return [
            'format' => self::FORMAT, 'paper' => $paper,
            'key' => sodium_bin2hex(sodium_crypto_sign_publickey($pair)),
            'signature' => sodium_bin2hex(
                sodium_crypto_sign_detached(self::bytes($paper), sodium_crypto_sign_secretkey($pair)),
            ),
        ];
    }

    /**
     * What is wrong with a paper, in a sentence; null when it is as it was signed.
     *
     * @param string|null $key the public key that it must be signed with, hexadecimal; null: that of this installation
     */
    public static function fault(string $file, ?string $key = null): ?string
    {
        $said = json_decode($file, true);
        if (! is_array($said) || ($said['format'] ?? null) !== self::FORMAT || ! is_array($said['paper'] ?? null)) {
            return 'This is no paper of Odd Spark.';
        }
        if (array_diff(array_keys($said), ['format', 'paper', 'key', 'signature']) !== []) {
            return 'There is more in the file than was signed.';
        }
        $key ??= self::publicKey();
        [$signature, $public] = [
            self::bin($said['signature'] ?? null, SODIUM_CRYPTO_SIGN_BYTES),
            self::bin($key, SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES),
        ];
        if ($public === null) {
            return 'That is no public key: 64 hexadecimal digits.';
        }
        if ($signature === null) {
            return 'It is not signed.';
        }
        if (! hash_equals($key, (string) ($said['key'] ?? ''))) {
            return 'It was signed with another key: by another school, or by nobody.';
        }

        return sodium_crypto_sign_verify_detached($signature, self::bytes($said['paper']), $public)
            ? null
            : 'It was changed after it was signed.';
    }

    public static function publicKey(): string
    {
        $seed = (string) config('spark.signing_key');

        return $seed === ''
            ? ''
            : sodium_bin2hex(sodium_crypto_sign_publickey(sodium_crypto_sign_seed_keypair(sodium_hex2bin($seed))));
    }

    /** @param array<string, mixed> $paper */
    private static function bytes(array $paper): string
    {
        return json_encode($paper, self::JSON);
    }

    private static function bin(mixed $hex, int $length): ?string
    {
        return is_string($hex) && preg_match('/^[0-9a-f]+$/', $hex) === 1 && strlen($hex) === 2 * $length
            ? sodium_hex2bin($hex)
            : null;
    }

    /** @return array<string, mixed> */
    private static function paper(Attempt $attempt): array
    {
        $job = Assignment::query()->select(Assignment::LIGHT)->findOrFail($attempt->assignment_id);

        return [
            'made' => now()->toIso8601String(),
            'attempt' => $attempt->id,
            'trainee' => ['number' => $attempt->user_id, 'name' => $attempt->user->name],
            'job' => [
                'number' => $job->id, 'title' => $job->title, 'kind' => $job->kind->value, 'class' => $job->course->name,
                'visit' => $job->visit, 'fault' => $job->fault, 'seed' => $job->seed, 'engine' => $attempt->engine,
                'appliance_sha256' => $job->hash, 'opens' => $job->opens_at?->toIso8601String(),
                'closes' => $job->closes_at?->toIso8601String(), 'minutes' => $job->minutes,
            ],
            'begun' => $attempt->begun_at?->toIso8601String(),
            'handed_back' => $attempt->handed_back_at?->toIso8601String(),
            'clock_stood_s' => $attempt->stopped_s,
            'entries' => $attempt->entries->map(fn (Entry $e) => [
                'id' => $e->client_id, 'when' => $e->created_at?->toIso8601String(), 'at_ms' => $e->tick, 'act' => $e->act,
                'outcome' => $e->outcome, 'said' => $e->sentence,
            ])->all(),
            'noted' => $attempt->events->map(fn (AttemptEvent $e) => [
                'when' => $e->created_at->toIso8601String(), 'what' => $e->what->value, 'by' => $e->user_id,
                'text' => $e->text, 'seconds' => $e->seconds,
            ])->all(),
            'marks' => $attempt->marks->map(fn (Mark $m) => [
                'engine' => $m->engine, 'rules' => $m->rules, 'result' => $m->result,
            ])->all(),
            'set_by_hand' => $attempt->overrides->map(fn (MarkOverride $o) => [
                'line' => $o->line, 'share' => $o->share, 'reason' => $o->reason, 'by' => $o->user_id,
                'when' => $o->created_at?->toIso8601String(),
            ])->all(),
            'set_aside' => $attempt->set_aside,
            'stands' => $attempt->mark,
        ];
    }
}
