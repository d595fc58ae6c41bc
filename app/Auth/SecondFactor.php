<?php

namespace App\Auth;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The second factor of one person: a key that he has proved to hold, and codes on paper for when it is lost. */
class SecondFactor
{
    public const RECOVERY_CODES = 10;

    private const CODE = 'abcdefghjkmnpqrstuvwxyz23456789';

    private const CODE_LETTERS = 10;

    /** A key to be proved; the one in use, if any, stays till then. */
    public static function propose(): string
    {
        return Totp::key();
    }

    /**
     * Takes a key into use when the code shows that he holds it.
     *
     * @return list<string>|null the codes for when it is lost, shown this once; null when the code is wrong
     */
    public static function prove(User $user, string $key, string $code): ?array
    {
        $step = Totp::step($key, $code, 0, now()->getTimestamp());
        if ($step === null) {
            return null;
        }
        $user->forceFill(['totp_secret' => $key, 'totp_since' => now(), 'totp_step' => $step]);

        return self::newCodes($user);
    }

    /** @return list<string> new codes in place of those before */
    public static function newCodes(User $user): array
    {
        $codes = [];
        for ($i = 0; $i < self::RECOVERY_CODES; $i++) {
            $code = '';
            for ($j = 0; $j < self::CODE_LETTERS; $j++) {
                $code .= self::CODE[random_int(0, strlen(self::CODE) - 1)];
            }
            $codes[] = $code;
        }
        $user->forceFill(
            ['recovery_codes' => array_map(fn (string $code) => self::hash($code, bin2hex(random_bytes(8))), $codes)],
        )->save();

        return array_map(fn (string $code) => substr($code, 0, 5).'-'.substr($code, 5), $codes);
    }

    /** Whether it is his code now, or one of those on paper; each is good once, however many ask at once. */
    public static function accepts(User $user, string $code): bool
    {
        return DB::transaction(function () use ($user, $code): bool {
            $user = User::query()->lockForUpdate()->findOrFail($user->id);
            $step = Totp::step((string) $user->totp_secret, $code, $user->totp_step, now()->getTimestamp());
            if ($step !== null) {
                $user->forceFill(['totp_step' => $step])->save();

                return true;
            }
            $kept = $user->recovery_codes ?? [];
            $left = array_filter(
                $kept,
                fn (string $one) => ! hash_equals($one, self::hash($code, strtok($one, ':') ?: '')),
            );
            if (count($left) === count($kept)) {
                return false;
            }
            $user->forceFill(['recovery_codes' => array_values($left)])->save();

            return true;
        });
    }

    public static function remove(User $user): void
    {
        $user->forceFill(
            ['totp_secret' => null, 'totp_since' => null, 'totp_step' => 0, 'recovery_codes' => null],
        )->save();
    }

    /** A code has 31^10 forms (50 bits), so it is kept with a salt of its own (ASVS 4.0.3, 2.6.2). */
    private static function hash(string $code, string $salt): string
    {
        return $salt.':'.hash('sha256', $salt.preg_replace('/[^a-z0-9]/', '', mb_strtolower($code)));
    }
}
