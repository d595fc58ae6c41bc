<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Signs out whoever did nothing for longer than his role may; and keeps whoever must have a second factor, and has
 * none,
 * at his account till he has one.
 */
class EndIdle
{
    /** Seconds after which everybody signs in again, however busy he was (ASVS 4.0.3, 3.3.2). */
    private const LONGEST_S = 12 * 3600;

    /** Seconds in which it is noted once that he is here. */
    private const SEEN_EVERY_S = 20;

    private const ALWAYS = ['account', 'account/*', 'logout'];

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        $idle = $session->get('idle_s');
        if ($idle !== null && time() - $session->get('seen_at', 0) > $idle) {
            Auth::logout();
            $session->invalidate();
            $session->flash('flash', 'You were signed out, since nothing was done for '.intdiv($idle, 60).' minutes.');
            throw new AuthenticationException(redirectTo: '/login');
        }
        if (time() - $session->get('signed_in_at', time()) > self::LONGEST_S) {
            Auth::logout();
            $session->invalidate();
            $session->flash('flash', 'You have been signed in for twelve hours. Sign in again.');
            throw new AuthenticationException(redirectTo: '/login');
        }
        if ($request->user()?->closed_at !== null) {
            Auth::logout();
            $session->invalidate();
            throw new AuthenticationException(redirectTo: '/login');
        }
        if (time() - $session->get('seen_at', 0) >= self::SEEN_EVERY_S) {
            $session->put('seen_at', time());
        }
        if ($session->get('asks_second_factor') === true && ! $request->is(...self::ALWAYS)) {
            $session->flash('flash', 'This school asks its staff for a second factor. Set it up here first.');

            return redirect('/account');
        }

        return $next($request);
    }
}
