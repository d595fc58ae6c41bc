<?php

namespace App\Http\Middleware;

use App\Auth\SignIn;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** Before what is grave, the password is entered again: whoever finds a place signed in does not do it. */
class Confirmed
{
    public function handle(Request $request, Closure $next): Response
    {
        if (SignIn::isConfirmed($request)) {
            return $next($request);
        }
        if ($request->isMethod('GET')) {
            return redirect('/account/confirm?to='.rawurlencode($request->path()));
        }
        throw ValidationException::withMessages(
            ['current_password' => 'Enter your password again for this.'],
        )->status(423);
    }
}
