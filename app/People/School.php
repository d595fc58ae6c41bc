<?php

namespace App\People;

use App\Models\Role;
use Illuminate\Support\Facades\DB;

/**
 * What a school has settled for all of its people.
 *
 * @phpstan-type Settled array{second_factor: 'offered'|'asked', idle_minutes: array<string, int>, keep_months: int}
 */
class School
{
    private const FACT = 'school';

    /** Minutes after which somebody who does nothing is signed out, unless the school has settled otherwise. */
    private const IDLE_MINUTES = ['administrator' => 30, 'instructor' => 30, 'assessor' => 30, 'trainee' => 60];

    /** @return Settled */
    public static function settled(): array
    {
        $kept = json_decode((string) DB::table('facts')->where('name', self::FACT)->value('value'), true) ?? [];

        return [
            'second_factor' => $kept['second_factor'] ?? 'offered',
            'idle_minutes' => array_replace(self::IDLE_MINUTES, $kept['idle_minutes'] ?? []),
            'keep_months' => $kept['keep_months'] ?? 0,
        ];
    }

    /** @param Settled $settled */
    public static function settle(array $settled): void
    {
        DB::table('facts')->updateOrInsert(['name' => self::FACT], ['value' => json_encode($settled)]);
    }

    public static function idleMinutes(Role $role): int
    {
        return self::settled()['idle_minutes'][$role->value];
    }

    /** Whether somebody of a role must have a second factor. */
    public static function asksSecondFactor(Role $role): bool
    {
        return $role->isStaff() && self::settled()['second_factor'] === 'asked';
    }
}
