<?php

namespace App\Http\Controllers;

use App\Auth\PasswordRule;
use App\Auth\SignIn;
use App\Models\AccessLink;
use App\Models\AuditEntry;
use App\Models\Role;
use App\Models\User;
use App\People\Enrolment;
use App\People\Invitations;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** How somebody comes in: with the code of a class, or by a link of his own. */
class JoinController extends Controller
{
    public function create(): Response
    {
        return Inertia::render('Join', ['least' => PasswordRule::LEAST]);
    }

    /** By the code of a class: a new account in it. */
    public function store(Request $request, Enrolment $enrolment): RedirectResponse
    {
        $course = $enrolment->course($this->text($request, 'code'));
        if ($course === null) {
            throw ValidationException::withMessages([
                'code' => 'No class has this code now. Check it, or ask your instructor for a new one.',
            ]);
        }
        $name = trim($this->text($request, 'name'));
        $mail = mb_strtolower(trim($this->text($request, 'mail')));
        $request->merge(['name' => $name, 'mail' => $mail === '' ? null : $mail]);
        $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'mail' => ['nullable', 'email', 'max:200', 'unique:users,email'],
                'password' => [new PasswordRule([$name, $mail])],
            ],
            [
                'name.required' => 'Write the name you go by in class.',
                'mail.email' => 'That is no mail address.',
                'mail.unique' => 'Somebody signs in with that address already. Sign in first, then join with the code.',
            ],
        );
        $user = DB::transaction(function () use ($course, $enrolment, $name, $mail, $request): User {
            $user = User::query()->create([
                'name' => $name,
                'email' => $mail !== '' ? $mail : $enrolment->signInName($name),
                'role' => Role::Trainee,
                'password' => $this->text($request, 'password'),
            ]);
            $course->trainees()->attach($user->id);
            AuditEntry::note($user, 'join', $course);

            return $user;
        });

        return $this->welcome($request, $user, "You sign in as $user->email from now on. Write it down.");
    }

    public function link(string $token): Response
    {
        $link = AccessLink::open($token);

        return Inertia::render('OpenLink', [
            'token' => $token,
            'least' => PasswordRule::LEAST,
            'who' => $link === null ? null : ['name' => $link->user->name, 'signs_in_as' => $link->user->email],
        ]);
    }

    /** Sets the password of whom the link is for, once. */
    public function open(Request $request, string $token): RedirectResponse
    {
        $link = AccessLink::open($token);
        if ($link === null) {
            throw ValidationException::withMessages([
                'password' => 'This link has been used or has expired. Ask your instructor for a new one.',
            ]);
        }
        $request->validate(['password' => [new PasswordRule([$link->user->name, $link->user->email])]]);
        abort_if($link->user->closed_at !== null, 404);
        DB::transaction(function () use ($link, $request): void {
            $link->update(['used_at' => now()]);
            $link->user->update(['password' => $this->text($request, 'password'), 'remember_token' => null]);
            DB::table('sessions')->where('user_id', $link->user_id)->delete(); // whoever was signed in with the old one
            AuditEntry::note($link->user, 'set password by link', $link->user);
        });
        Invitations::tell($link->user, 'Your password was set by a link.');

        return $this->welcome($request, $link->user, "You sign in as {$link->user->email}.");
    }

    private function welcome(Request $request, User $user, string $says): RedirectResponse
    {
        return SignIn::begin($request, $user)->with('flash', $says);
    }
}
