<?php

namespace App\Auth;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * What a password must be: long enough, not among those that everybody guesses, and not made of one's own name. No
 * kinds
 * of letters are asked for. Length and list as ASVS 4.0.3, 2.1.1 and 2.1.7.
 */
class PasswordRule implements ValidationRule
{
    public const LEAST = 12;

    public const MOST = 128;

    /** Letters that are written for others in passwords that are guessed first. */
    private const WRITTEN_FOR = [
        '@' => 'a',
        '4' => 'a',
        '3' => 'e',
        '1' => 'i',
        '!' => 'i',
        '0' => 'o',
        '$' => 's',
        '5' => 's',
        '7' => 't',
    ];

    /** @param list<string> $own names of the person that are no password */
    public function __construct(private readonly array $own = []) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $length = is_string($value) ? mb_strlen($value) : 0;
        if ($length < self::LEAST || $length > self::MOST) {
            $fail('A password has '.self::LEAST.' to '.self::MOST.' characters. Several words make a good one.');
        } elseif ($this->isCommon($value)) {
            $fail('That password is among the first that are guessed. Take several words that do not belong together.');
        } elseif ($this->isOwnName($value)) {
            $fail('That password is made of your own name. Take several words that do not belong together.');
        }
    }

    /** Whether it is a common password, one said twice, or one with figures and marks put to it. */
    private function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);
        $bare = (string) preg_replace('/^[^a-z]+|[^a-z]+$/', '', $plain);
        $written = strtr($plain, self::WRITTEN_FOR);
        $cut = strtr((string) preg_replace('/[\d\W]+$/', '', $plain), self::WRITTEN_FOR);
        $letters = (string) preg_replace('/[^a-z]/', '', $written);
        $once = (string) preg_replace('/^(.+?)\1+$/', '$1', $plain);
        foreach ([
            $plain,
            $bare,
            $written,
            $cut,
            $letters,
            $once,
            (string) preg_replace('/^(.+?)\1+$/', '$1', $letters),
        ] as $form) {
            if ($form === '' || mb_strlen($form) < 3 || isset(self::list()[$form])) {
                return true;
            }
        }

        return false;
    }

    private function isOwnName(string $password): bool
    {
        $letters = (string) preg_replace('/[^a-z]/', '', mb_strtolower($password));
        foreach ($this->own as $name) {
            foreach (preg_split('/[^a-z]+/', mb_strtolower($name)) ?: [] as $part) {
                if (strlen($part) >= 4 && str_contains($letters, $part) && strlen($letters) < strlen($part) + 6) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, int> */
    private static function list(): array
    {
        static $list = null;

        return $list ??= array_flip(
            array_filter(explode("\n", (string) file_get_contents(resource_path('passwords.txt')))),
        );
    }
}
