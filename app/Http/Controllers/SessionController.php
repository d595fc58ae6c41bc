<?php

namespace App\Http\Controllers;

use App\Auth\SignInGuard;
use App\Http\Requests\SignInRequest;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

class SessionController extends Controller
{
    public function create(): Response
    {
        return Inertia::render('SignIn');
    }

    public function store(SignInRequest $request, SignInGuard $guard): RedirectResponse
    {
        $guard->take($request);
        if (! Auth::attempt($request->validated())) {
            throw ValidationException::withMessages([
                'email' => 'No one signs in with this address and password. Check both and try again.',
            ]);
        }
        $guard->succeeded($request);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login');
    }
}
