<?php

namespace App\Http\Controllers;

use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Role;
use App\Models\User;
use App\People\Invitations;
use App\People\Persons;
use App\People\School;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Trade\Csv;

/** What an administrator looks after: staff, accounts, what the school has settled, and the audit log. */
class SchoolController extends Controller
{
    /** Trainees that a search shows. */
    private const FOUND = 50;

    private const LAST = 200;

    public function index(Request $request): Response
    {
        $q = trim($this->text($request, 'q'));

        return Inertia::render('School', [
            'people' => User::query()
                ->where(fn ($u) => $u->where('role', '!=', Role::Trainee)->where('email', 'not like', 'gone-%'))
                ->orderBy('name')->get()->map(fn (User $u) => $this->person($u)),
            'q' => $q,
            'found' => $q === '' ? [] : User::query()
                ->where('role', Role::Trainee)
                ->where(fn ($u) => $u->whereLike('name', "%$q%")->orWhereLike('email', "%$q%"))
                ->orderBy('name')->limit(self::FOUND)->get()->map(fn (User $u) => $this->person($u)),
            'courses' => Course::query()->with('instructor:id,name')->withCount('trainees')->orderBy('name')->get()
                ->map(fn (Course $c) => [
                    'id' => $c->id, 'name' => $c->name, 'leader' => $c->instructor_id, 'trainees' => (int) $c->trainees_count,
                ]),
            'settled' => School::settled(),
            'mails' => Invitations::areMailed(),
            'audit' => AuditEntry::query()->latest('id')->limit(self::LAST)->get()
                ->map(fn (AuditEntry $e) => [
                    'at' => $e->created_at->format('j M Y H:i'), 'actor' => $e->actor_id, 'act' => $e->act,
                    'of' => $e->of, 'of_id' => $e->of_id, 'more' => self::more($e),
                ]),
        ]);
    }

    /** Somebody for the staff, with a link to set a password with; shown this once. */
    public function add(Request $request): JsonResponse
    {
        $mail = mb_strtolower(trim($this->text($request, 'mail')));
        $request->merge(['mail' => $mail]);
        $request->validate(
            ['mail' => ['required', 'email', 'max:200', 'unique:users,email']],
            [
                'mail.email' => 'That is no mail address.',
                'mail.unique' => 'Somebody signs in with that address already.',
            ],
        );
        $user = Persons::add(
            $request->user(), trim($this->text($request, 'name')), $mail, Role::from($this->text($request, 'role')),
        );

        return response()->json($this->linkFor($request, $user));
    }

    public function link(Request $request, User $user): JsonResponse
    {
        AuditEntry::note($request->user(), 'new access link', $user);

        return response()->json($this->linkFor($request, $user));
    }

    public function role(Request $request, User $user): RedirectResponse
    {
        Persons::assign($request->user(), $user, Role::from($this->text($request, 'role')));

        return back();
    }

    public function close(Request $request, User $user): RedirectResponse
    {
        $request->boolean('closed')
            ? Persons::close($request->user(), $user)
            : Persons::reopen($request->user(), $user);

        return back();
    }

    public function dropSecondFactor(Request $request, User $user): RedirectResponse
    {
        Persons::dropSecondFactor($request->user(), $user);

        return back();
    }

    /** All that is kept about somebody, as he may ask for it. */
    public function data(Request $request, User $user): JsonResponse
    {
        AuditEntry::note($request->user(), 'export person', $user);

        return response()->json(
            Persons::data($user),
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        )
            ->withHeaders(['Content-Disposition' => "attachment; filename=\"person-$user->id.json\""]);
    }

    public function forget(Request $request, User $user): RedirectResponse
    {
        Persons::forget($request->user(), $user, $request->boolean('keep_marks'));

        return redirect('/school');
    }

    public function lead(Request $request, Course $course): RedirectResponse
    {
        $user = User::query()->find($request->integer('user'));
        abort_unless($user !== null && $user->teaches() && $user->closed_at === null, 404);
        $course->staff()->detach($user->id);
        $course->update(['instructor_id' => $user->id]);
        AuditEntry::note($request->user(), 'give class', $course, ['to' => $user->id]);

        return back();
    }

    public function settle(Request $request): RedirectResponse
    {
        $settled = [
            'second_factor' => $request->string('second_factor')->value() === 'asked' ? 'asked' : 'offered',
            'idle_minutes' => array_map(intval(...), (array) $request->input('idle_minutes')),
            'keep_months' => $request->integer('keep_months'),
        ];
        School::settle($settled);
        AuditEntry::note($request->user(), 'settle school', $request->user(), [
            'second_factor' => $settled['second_factor'], 'keep_months' => $settled['keep_months'],
        ] + array_combine(
            array_map(fn (string $role) => "idle_$role", array_keys($settled['idle_minutes'])),
            $settled['idle_minutes'],
        ));

        return back();
    }

    /** The whole audit log as a file. */
    public function audit(Request $request): HttpResponse
    {
        AuditEntry::note($request->user(), 'export audit log', $request->user());

        $rows = AuditEntry::query()->orderBy('id')->get()->map(fn (AuditEntry $e) => [
            $e->id, $e->created_at->toIso8601String(), $e->actor_id ?? '', $e->act, $e->of, $e->of_id ?? '',
            self::more($e),
        ]);

        return response(Csv::write([['number', 'when', 'who', 'did', 'of', 'which', 'more'], ...$rows]), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="audit.csv"',
        ]);
    }

    /** @return array<string, mixed> */
    private function person(User $user): array
    {
        return [
            'id' => $user->id, 'name' => $user->name, 'signs_in_as' => $user->email, 'role' => $user->role,
            'second_factor' => $user->totp_since !== null, 'closed' => $user->closed_at !== null,
            'seen' => $user->seen_at?->format('j M Y'),
        ];
    }

    /** @return array{name: string, signs_in_as: string, link: string} */
    private function linkFor(Request $request, User $user): array
    {
        return [
            'name' => $user->name, 'signs_in_as' => $user->email,
            'link' => Invitations::link($user, $request->user()),
        ];
    }

    private static function more(AuditEntry $e): string
    {
        return collect($e->more ?? [])->map(fn ($v, $k) => "$k $v")->implode(', ');
    }
}
