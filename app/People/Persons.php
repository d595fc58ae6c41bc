<?php

namespace App\People;

use App\Auth\SecondFactor;
use App\Models\Attempt;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Entry;
use App\Models\LabReading;
use App\Models\Mark;
use App\Models\MarkOverride;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * What an administrator does with one person's account: opens it, closes it, hands out what is kept, and lets it go.
 */
class Persons
{
    public static function add(?User $by, string $name, string $mail, Role $role): User
    {
        $user = User::query()->create([
            'name' => $name, 'email' => $mail, 'role' => $role,
            'password' => Str::random(40), // nobody knows it: the link sets the first that is used
        ]);
        AuditEntry::note($by, 'add person', $user, ['role' => $role->value]);

        return $user;
    }

    public static function assign(User $by, User $user, Role $role): void
    {
        self::keepOneAdministrator($user, 'role');
        if ($user->role->teaches() && ! $role->teaches()) {
            self::leadsNothing($user, 'role');
        }
        if (($user->role === Role::Trainee) !== ($role === Role::Trainee)) {
            throw ValidationException::withMessages([
                'role' => 'A trainee has work and marks of his own. Add a second account for the other role.',
            ]);
        }
        $user->update(['role' => $role]);
        self::signOut($user);
        AuditEntry::note($by, 'change role', $user, ['role' => $role->value]);
    }

    public static function close(User $by, User $user): void
    {
        self::keepOneAdministrator($user, 'person');
        $user->forceFill(['closed_at' => now(), 'remember_token' => null])->save();
        self::signOut($user);
        AuditEntry::note($by, 'close account', $user);
    }

    public static function reopen(User $by, User $user): void
    {
        $user->forceFill(['closed_at' => null])->save();
        AuditEntry::note($by, 'open account', $user);
    }

    public static function dropSecondFactor(User $by, User $user): void
    {
        SecondFactor::remove($user);
        self::signOut($user);
        AuditEntry::note($by, 'remove second factor', $user);
        Invitations::tell($user, 'The second factor of your account was removed by an administrator.');
    }

    /**
     * Takes name, address and access away. Marks stay under a number, which the school may have to keep; without them a
     * trainee's row goes with all of his work.
     */
    public static function forget(?User $by, User $user, bool $keepsMarks): void
    {
        self::keepOneAdministrator($user, 'person');
        self::leadsNothing($user, 'person');
        DB::transaction(function () use ($by, $user, $keepsMarks): void {
            AuditEntry::note($by, $keepsMarks ? 'forget name' : 'delete person', $user);
            self::signOut($user);
            DB::table('access_links')->where('user_id', $user->id)->delete();
            DB::table('course_staff')->where('user_id', $user->id)->delete();
            DB::table('tasks')->where('user_id', $user->id)->delete(); // their titles may name him
            if (! $keepsMarks && $user->role === Role::Trainee) {
                $user->delete();

                return;
            }
            SecondFactor::remove($user);
            $user->forceFill([
                'name' => ($user->role === Role::Trainee ? 'Former trainee ' : 'Former member of staff ').$user->id,
                'email' => "gone-$user->id", 'password' => Str::random(40), 'remember_token' => null,
                'closed_at' => now(),
            ])->save();
        });
    }

    /**
     * All that is kept about somebody.
     *
     * @return array<string, mixed>
     */
    public static function data(User $user): array
    {
        return [
            'made' => now()->toIso8601String(),
            'account' => [
                'number' => $user->id, 'name' => $user->name, 'signs_in_as' => $user->email, 'role' => $user->role->value,
                'since' => $user->created_at?->toIso8601String(), 'signed_in_last' => $user->seen_at?->toIso8601String(),
                'second_factor_since' => $user->totp_since?->toIso8601String(),
                'closed' => $user->closed_at?->toIso8601String(),
            ],
            'classes' => $user->courses()->pluck('name')->all(),
            'sessions' => DB::table('sessions')->where('user_id', $user->id)
                ->get(['ip_address', 'user_agent', 'last_activity'])->all(),
            'jobs' => $user->attempts()->with(['assignment', 'marks', 'overrides'])->get()
                ->map(fn (Attempt $attempt) => self::attempt($attempt))->all(),
            'lab_readings' => LabReading::query()->where('user_id', $user->id)->get()->map(
                fn (LabReading $r) => $r->row(),
            )->all(),
            'audit' => AuditEntry::query()
                ->where('actor_id', $user->id)
                ->orWhere(fn ($q) => $q->where('of', 'users')->where('of_id', $user->id))
                ->orderBy('id')->get(['actor_id', 'act', 'of', 'of_id', 'more', 'created_at'])->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private static function attempt(Attempt $attempt): array
    {
        return [
            'title' => $attempt->assignment->title,
            'begun' => $attempt->begun_at?->toIso8601String(),
            'handed_back' => $attempt->handed_back_at?->toIso8601String(),
            'mark' => $attempt->mark,
            'entries' => $attempt->entries()->orderBy('id')->get()
                ->map(fn (Entry $e) => [
                    'at_s' => $e->tick / 1000, 'act' => $e->act, 'said' => $e->sentence,
                    'when' => $e->created_at?->toIso8601String(),
                ])->all(),
            'marks' => $attempt->marks->map(
                fn (Mark $m) => ['rules' => $m->rules['title'], 'result' => $m->result],
            )->all(),
            'set_by_hand' => $attempt->overrides
                ->map(
                    fn (MarkOverride $o) => ['line' => $o->line, 'share' => $o->share, 'reason' => $o->reason],
                )->all(),
        ];
    }

    /** Lets the names go of trainees who have not been here for so many months. */
    public static function forgetOld(int $months): int
    {
        $old = User::query()
            ->where('role', Role::Trainee)
            ->where('email', 'not like', 'gone-%')
            ->whereRaw('COALESCE(seen_at, created_at) < ?', [now()->subMonths($months)])
            ->whereDoesntHave('attempts', fn ($q) => $q->where('updated_at', '>', now()->subMonths($months)))
            ->get();
        foreach ($old as $user) {
            self::forget(null, $user, true);
        }

        return $old->count();
    }

    private static function signOut(User $user): void
    {
        DB::table('sessions')->where('user_id', $user->id)->delete();
    }

    private static function leadsNothing(User $user, string $field): void
    {
        $leads = Course::query()->where('instructor_id', $user->id)->pluck('name');
        if ($leads->isNotEmpty()) {
            throw ValidationException::withMessages([
                $field => "$user->name leads {$leads->map(fn ($n) => "“{$n}”")->implode(', ')}. Give the class to somebody else first.",
            ]);
        }
    }

    private static function keepOneAdministrator(User $user, string $field): void
    {
        $others = User::query()->where('role', Role::Administrator)->whereNull('closed_at')->whereKeyNot($user->id);
        if ($user->isAdministrator() && ! $others->exists()) {
            throw ValidationException::withMessages([
                $field => 'This is the only administrator. Make another one first.',
            ]);
        }
    }
}
