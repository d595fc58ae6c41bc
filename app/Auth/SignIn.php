<?php

namespace App\Auth;

use App\Models\AuditEntry;
use App\Models\User;
use App\People\School;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/**
 * From a right password to a session: by the second factor where there is one, and with what the session is held to.
 */
class SignIn
{
    private const WAITING = 'sign_in.waiting';

    /** Seconds for the second factor. */
    private const WAITS_S = 300;

    /** Seconds that a password that was just entered is good for what is grave. */
    private const CONFIRMED_S = 900;

    /** Somebody whose password was right. */
    public static function begin(Request $request, User $user): RedirectResponse
    {
        $request->session()->regenerate();
        if ($user->totp_since !== null) {
            $request->session()->put(self::WAITING, ['user' => $user->id, 'until' => time() + self::WAITS_S]);

            return redirect('/login/second');
        }

        return self::complete($request, $user);
    }

    /** Who has shown his password and not yet the second factor. */
    public static function waiting(Request $request): ?User
    {
        $waiting = $request->session()->get(self::WAITING);

        return $waiting === null || $waiting['until'] < time()
            ? null
            : User::query()->whereKey($waiting['user'])->whereNull('closed_at')->first();
    }

    public static function complete(Request $request, User $user): RedirectResponse
    {
        Auth::login($user);
        $request->session()->forget(self::WAITING);
        $request->session()->regenerate();
        $request->session()->put([
            'idle_s' => School::idleMinutes($user->role) * 60,
            'seen_at' => time(),
            'signed_in_at' => time(),
            'confirmed_at' => time(),
            'asks_second_factor' => $user->totp_since === null && School::asksSecondFactor($user->role),
        ]);
        $user->forceFill(['seen_at' => now()])->save();
        AuditEntry::note($user, 'sign in', $user);

        return redirect()->intended('/');
    }

    /** That the password was entered again just now. */
    public static function confirm(Request $request): void
    {
        $request->session()->put('confirmed_at', time());
    }

    public static function isConfirmed(Request $request): bool
    {
        return self::confirmedFor($request) > 0;
    }

    /** Seconds for which what is grave can be done without the password once more. */
    public static function confirmedFor(Request $request): int
    {
        return max(0, (int) $request->session()->get('confirmed_at', 0) + self::CONFIRMED_S - time());
    }
}
