<?php

namespace App\Auth;

use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Validation\ValidationException;

/**
 * Slows down whoever guesses passwords, by account and by address. Only failures count.
 *
 * - One account from one address: a few, then a pause.
 * - One account from everywhere together: forty addresses get no more than a handful of guesses.
 * - One address at all accounts: beyond a class's usual slips each account has but a few tries there; those of one
 * account
 *   never lock out another.
 * - A device on which an account has signed in before has tries of its own, so that nobody is locked out by a stranger.
 */
class SignInGuard
{
    private const COOKIE = 'known_device';

    private const COOKIE_MINUTES = 60 * 24 * 180;

    private const FROM_ONE_ADDRESS = 8;

    private const FROM_A_BUSY_ADDRESS = 3;

    private const BUSY_ADDRESS = 60;

    private const FROM_EVERYWHERE = 20;

    private const ON_A_KNOWN_DEVICE = 10;

    private const PAUSE_S = 600;

    private const LONG_PAUSE_S = 3600;

    public function __construct(private readonly RateLimiter $limiter) {}

    /**
     * Takes one of the tries that are left; counted before the password is looked at, so that many at once are no more.
     *
     * @throws ValidationException when there are none
     */
    public function take(Request $request): void
    {
        $isBusy = $this->limiter->attempts($this->address($request)) >= self::BUSY_ADDRESS;
        $most = $this->isKnownDevice($request)
            ? [$this->device($request) => [self::ON_A_KNOWN_DEVICE, self::PAUSE_S]]
            : [
                $this->pair($request) => [$isBusy ? self::FROM_A_BUSY_ADDRESS : self::FROM_ONE_ADDRESS, self::PAUSE_S],
                $this->account($request) => [self::FROM_EVERYWHERE, self::LONG_PAUSE_S],
            ];
        foreach ($most as $key => [$tries, $pause]) {
            if ($this->limiter->tooManyAttempts($key, $tries) || $this->limiter->hit($key, $pause) > $tries) {
                $this->refuse($this->limiter->availableIn($key));
            }
        }
        if (! $this->isKnownDevice($request)) {
            $this->limiter->hit($this->address($request), self::PAUSE_S);
        }
    }

    public function succeeded(Request $request): void
    {
        $this->limiter->clear($this->pair($request));
        $this->limiter->clear($this->device($request));
        if (! $this->isKnownDevice($request)) {
            $this->limiter->decrement($this->account($request), self::LONG_PAUSE_S);
            $this->limiter->decrement($this->address($request), self::PAUSE_S);
        }
        $known = array_slice(array_unique([$this->fingerprint($request), ...$this->known($request)]), 0, 20);
        Cookie::queue(
            Cookie::make(
                self::COOKIE,
                implode('.', $known),
                self::COOKIE_MINUTES,
                httpOnly: true,
                sameSite: 'lax',
                secure: $request->isSecure(),
            ),
        );
    }

    private function refuse(int $seconds): never
    {
        $minutes = max(1, (int) ceil($seconds / 60));
        throw ValidationException::withMessages([
            'email' => "Too many failed sign-ins to this account. Wait $minutes ".
                ($minutes === 1 ? 'minute' : 'minutes').
                ', or sign in on a device that you have used before.',
        ])->status(429);
    }

    private function isKnownDevice(Request $request): bool
    {
        return in_array($this->fingerprint($request), $this->known($request), true);
    }

    /**
     * @return list<string> accounts that have signed in on this device; the cookie is encrypted, nobody else writes it
     */
    private function known(Request $request): array
    {
        $cookie = $request->cookie(self::COOKIE);

        return is_string($cookie) && $cookie !== '' ? explode('.', $cookie) : [];
    }

    private function fingerprint(Request $request): string
    {
        return substr(hash_hmac('sha256', $this->email($request), (string) config('app.key')), 0, 20);
    }

    private function email(Request $request): string
    {
        return mb_strtolower(trim((string) $request->input('email')));
    }

    private function device(Request $request): string
    {
        return 'sign-in-device|'.$this->fingerprint($request);
    }

    private function pair(Request $request): string
    {
        return 'sign-in-pair|'.$this->fingerprint($request).'|'.$request->ip();
    }

    private function account(Request $request): string
    {
        return 'sign-in-account|'.$this->fingerprint($request);
    }

    private function address(Request $request): string
    {
        return 'sign-in-address|'.$request->ip();
    }
}
