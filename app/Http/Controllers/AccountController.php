<?php

namespace App\Http\Controllers;

use App\Auth\PasswordRule;
use App\Auth\SecondFactor;
use App\Auth\SignIn;
use App\Auth\Totp;
use App\Models\AuditEntry;
use App\People\Enrolment;
use App\People\Invitations;
use App\People\School;
use Illuminate\Http\JsonResponse;
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
            'second_factor' => [
                'offered' => $user->role->isStaff(),
                'since' => $user->totp_since?->format('j M Y'),
                'codes_left' => count($user->recovery_codes ?? []),
            ],
            'sessions' => DB::table('sessions')
                ->where('user_id', $user->id)
                ->orderByDesc('last_activity')
                ->get(['id', 'ip_address', 'user_agent', 'last_activity'])
                ->map(fn (object $s) => [
                    'key' => self::key($s->id),
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
        Invitations::tell($user, 'Your password was changed.');

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

    /** Ends one of one's own sessions. */
    public function endSession(Request $request, string $key): RedirectResponse
    {
        $mine = DB::table('sessions')->where('user_id', $request->user()->id)->pluck('id');
        $id = $mine->first(fn (string $id) => hash_equals(self::key($id), $key));
        abort_if($id === null, 404);
        DB::table('sessions')->where('id', $id)->delete();
        AuditEntry::note($request->user(), 'end session', $request->user());

        return redirect('/account');
    }

    /** The password again, where what is grave was opened by its address. */
    public function confirming(Request $request): Response
    {
        return Inertia::render('Confirm', ['to' => '/'.ltrim($this->text($request, 'to'), '/\\')]);
    }

    /** The password again, before what is grave. */
    public function confirmed(Request $request): JsonResponse
    {
        $this->confirm($request);
        SignIn::confirm($request);

        return response()->json(['confirmed' => true]);
    }

    /** A key for an authenticator, to be proved by its first code. */
    public function proposeFactor(Request $request): JsonResponse
    {
        $key = SecondFactor::propose();
        $request->session()->put('second_factor_key', $key);

        return response()->json(['key' => $key, 'uri' => Totp::uri($key, $request->user()->email)]);
    }

    public function proveFactor(Request $request): JsonResponse
    {
        $user = $request->user();
        $key = $request->session()->get('second_factor_key');
        $codes = $key === null ? null : SecondFactor::prove($user, $key, $this->text($request, 'code'));
        if ($codes === null) {
            throw ValidationException::withMessages([
                'code' => 'That is not its code now. Wait for the next one, and see that the clock of your device is right.',
            ]);
        }
        $request->session()->forget(['second_factor_key', 'asks_second_factor']);
        $this->endOthers($request);
        AuditEntry::note($user, 'set second factor', $user);
        Invitations::tell($user, 'A second factor was set up for your account.');

        return response()->json(['codes' => $codes]);
    }

    public function newCodes(Request $request): JsonResponse
    {
        $user = $request->user();
        abort_if($user->totp_since === null, 404);
        AuditEntry::note($user, 'new recovery codes', $user);

        return response()->json(['codes' => SecondFactor::newCodes($user)]);
    }

    public function removeFactor(Request $request): RedirectResponse
    {
        $user = $request->user();
        SecondFactor::remove($user);
        $request->session()->put('asks_second_factor', School::asksSecondFactor($user->role));
        AuditEntry::note($user, 'remove second factor', $user);
        Invitations::tell($user, 'The second factor of your account was turned off.');

        return redirect('/account');
    }

    private static function key(string $session): string
    {
        return substr(hash('sha256', $session), 0, 16);
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
