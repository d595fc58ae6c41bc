<?php

namespace App\Http\Controllers;

use App\Auth\PasswordRule;
use App\Models\AuditEntry;
use App\People\Enrolment;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** One's own account: the password, where one is signed in, and the classes one is in. */
class AccountController extends Controller
{
    public function show(Request $request): Response
    {
        $user = $request->user();

        return Inertia::render('Account', [
            'signs_in_as' => $user->email,
            'least' => PasswordRule::LEAST,
            'courses' => $user->courses()->pluck('name'),
            'sessions' => DB::table('sessions')
                ->where('user_id', $user->id)
                ->orderByDesc('last_activity')
                ->get(['id', 'ip_address', 'user_agent', 'last_activity'])
                ->map(fn (object $s) => [
                    'here' => $s->id === $request->session()->getId(),
                    'from' => $s->ip_address,
                    'with' => mb_substr((string) $s->user_agent, 0, 80),
                    'last' => date('j M H:i', $s->last_activity),
                ]),
        ]);
    }

    public function password(Request $request): RedirectResponse
    {
        $user = $request->user();
        $this->confirm($request);
        $request->validate(['password' => [new PasswordRule([$user->name, $user->email])]]);
        $user->update(['password' => $this->text($request, 'password')]);
        $this->endOthers($request);
        AuditEntry::note($user, 'change password', $user);

        return redirect('/account')->with('flash', 'Your password is changed. You are signed out everywhere else.');
    }

    /** Ends the sessions everywhere else. */
    public function signOutElsewhere(Request $request): RedirectResponse
    {
        $this->confirm($request);
        $this->endOthers($request);
        AuditEntry::note($request->user(), 'sign out elsewhere', $request->user());

        return redirect('/account')->with('flash', 'You are signed out everywhere else.');
    }

    /** One more class, by its code. */
    public function join(Request $request, Enrolment $enrolment): RedirectResponse
    {
        $course = $enrolment->course($this->text($request, 'code'));
        if ($course === null) {
            throw ValidationException::withMessages([
                'code' => 'No class has this code now. Check it, or ask your instructor for a new one.',
            ]);
        }
        $course->trainees()->syncWithoutDetaching([$request->user()->id]);
        AuditEntry::note($request->user(), 'join', $course);

        return redirect('/account')->with('flash', "You are in “{$course->name}” now.");
    }

    private function confirm(Request $request): void
    {
        if (! Hash::check($this->text($request, 'current_password'), $request->user()->getAuthPassword())) {
            throw ValidationException::withMessages(['current_password' => 'That is not your password now.']);
        }
    }

    private function endOthers(Request $request): void
    {
        $request->user()->forceFill(['remember_token' => null])->save();
        DB::table('sessions')
            ->where('user_id', $request->user()->id)
            ->where('id', '!=', $request->session()->getId())
            ->delete();
    }
}
