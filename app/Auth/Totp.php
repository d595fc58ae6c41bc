<?php

namespace App\Auth;

/**
 * Codes of a second factor that change with time: RFC 6238 over HOTP (RFC 4226) with SHA-1, six digits, 30 s, which is
 * what every authenticator takes.
 */
class Totp
{
    public const DIGITS = 6;

    public const STEP_S = 30;

    /** Steps that a clock may be behind or ahead (RFC 6238, 5.2 recommends one). */
    private const SLACK = 1;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** A new key of 160 bits (RFC 4226, R6), Base32 by RFC 4648 without padding. */
    public static function key(): string
    {
        return self::encoded(random_bytes(20));
    }

    public static function encoded(string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            fn (string $five) => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))],
            str_split($bits, 5),
        ));
    }

    /** The code of a step of time; more digits only to check against the published vectors. */
    public static function code(string $key, int $step, int $digits = self::DIGITS): string
    {
        $bits = '';
        foreach (str_split($key) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', STR_PAD_LEFT);
        }
        $bytes = implode('', array_map(
            fn (string $eight) => chr((int) bindec($eight)),
            str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8),
        ));
        $hash = hash_hmac('sha1', pack('J', $step), $bytes, true);
        $offset = ord($hash[19]) & 0xF;
        $number = unpack('N', substr($hash, $offset, 4))[1] & 0x7FFFFFFF;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * The step whose code was given, so that it is used once only (RFC 6238, 5.2); null when the code is wrong.
     *
     * @param int $after the last step that was used
     */
    public static function step(string $key, string $code, int $after, int $now): ?int
    {
        $code = (string) preg_replace('/\s+/', '', $code);
        $step = intdiv($now, self::STEP_S);
        for ($at = $step - self::SLACK; $at <= $step + self::SLACK; $at++) {
            if ($at > $after && hash_equals(self::code($key, $at), $code)) {
                return $at;
            }
        }

        return null;
    }

    /** What an authenticator reads from a picture: the key URI that they all know. */
    public static function uri(string $key, string $account): string
    {
        return 'otpauth://totp/'.rawurlencode(
            "Odd Spark:$account",
        ).'?secret='.$key.'&issuer='.rawurlencode('Odd Spark');
    }
}
