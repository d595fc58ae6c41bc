<?php

namespace App\Http\Controllers;

use App\Auth\SecondFactor;
use App\Auth\SignIn;
use App\Auth\SignInGuard;
use App\Auth\Totp;
use App\Http\Requests\SignInRequest;
use App\Models\AuditEntry;
use App\Models\User;
use App\People\Invitations;
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
        return Inertia::render('SignIn', ['mails' => Invitations::areMailed()]);
    }

    public function store(SignInRequest $request, SignInGuard $guard): RedirectResponse
    {
        $guard->take($request);
        $user = Auth::validate($request->validated()) ? Auth::getLastAttempted() : null;
        if (! $user instanceof User) {
            AuditEntry::refusedSignIn(User::query()->where('email', $request->validated('email'))->first());
            throw ValidationException::withMessages([
                'email' => 'No one signs in with this address and password. Check both and try again.',
            ]);
        }
        if ($user->closed_at !== null) {
            AuditEntry::refusedSignIn($user);
            throw ValidationException::withMessages([
                'email' => 'This account is closed. Ask whoever looks after people at your school.',
            ]);
        }
        $guard->succeeded($request);

        return SignIn::begin($request, $user);
    }

    /** A link by mail, where the school sends mail; whether there is such an account is not said. */
    public function forgot(Request $request): RedirectResponse
    {
        abort_unless(Invitations::areMailed(), 404);
        $user = User::query()
            ->where('email', mb_strtolower(trim($this->text($request, 'email'))))->whereNull('closed_at')->first();
        if ($user !== null && str_contains($user->email, '@')) {
            AuditEntry::note($user, 'asked for access link', $user);
            Invitations::link($user, $user);
        }

        return redirect('/login')->with('flash', 'If somebody signs in with that address, a link is on its way.');
    }

    public function second(Request $request): Response|RedirectResponse
    {
        return SignIn::waiting($request) === null
            ? redirect('/login')
            : Inertia::render('SecondFactor', ['digits' => Totp::DIGITS]);
    }

    /** The code of the second factor, or one of those on paper. */
    public function passSecond(Request $request): RedirectResponse
    {
        $user = SignIn::waiting($request);
        if ($user === null) {
            return redirect('/login')->with('flash', 'That took longer than five minutes. Sign in again.');
        }
        if (! SecondFactor::accepts($user, $this->text($request, 'code'))) {
            AuditEntry::note($user, 'second factor refused', $user);
            throw ValidationException::withMessages([
                'code' => 'That is not the code now, or it was used already. Wait for the next one.',
            ]);
        }

        return SignIn::complete($request, $user);
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login');
    }
}
