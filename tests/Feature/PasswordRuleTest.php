<?php

namespace Tests\Feature;

use App\Auth\PasswordRule;
use Illuminate\Support\Facades\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Which passwords are taken: long ones that nobody tries first. */
class PasswordRuleTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'several words' => ['seven grey herons', true];
        yield 'letters of any kind' => ['zwölf Störche über dem Fluß', true];
        yield 'short' => ['elevenchars', false];
        yield 'long' => [str_repeat('ab cd ', 30), false];
        yield 'common with figures' => ['Password2026!', false];
        yield 'common in other letters' => ['P@55w0rd1234', false];
        yield 'common said twice' => ['qwertyqwerty', false];
        yield 'figures alone' => ['123456789012', false];
        yield 'one letter' => ['aaaaaaaaaaaa', false];
        yield 'own name' => ['brannoc12345', false];
    }

    #[DataProvider('passwords')]
    public function test_a_password_is_long_and_not_among_the_first_that_are_guessed(
        string $password,
        bool $isGood,
    ): void {
        $checked = Validator::make(['p' => $password], ['p' => [new PasswordRule(['Brannoc'])]]);
        $this->assertSame($isGood, $checked->passes(), implode(' ', $checked->errors()->all()));
    }
}
