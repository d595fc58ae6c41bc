<?php

namespace App\Http\Controllers;

use App\Models\AccessLink;
use App\Models\Assignment;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Role;
use App\Models\StaffPart;
use App\Models\User;
use App\People\Enrolment;
use App\People\Invitations;
use App\People\Roster;
use App\Support\Workbook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Trade\Csv;

/** An instructor's classes and who is in them. */
class PeopleController extends Controller
{
    /** What was done, so far back. */
    private const LAST = 60;

    public function __construct(private readonly Enrolment $enrolment) {}

    public function index(Request $request): Response
    {
        $courses = Course::query()->taughtBy($request->user())->with(
            ['trainees', 'staff', 'instructor'],
        )->orderBy('name')->get();
        $never = AccessLink::query()
            ->whereIn('user_id', $courses->flatMap(fn (Course $c) => $c->trainees->modelKeys()))
            ->whereNull('used_at')
            ->where('expires_at', '>', now())
            ->pluck('expires_at', 'user_id');

        return Inertia::render('People', [
            'courses' => $courses->map(fn (Course $course) => [
                'id' => $course->id,
                'name' => $course->name,
                'leads' => $course->instructor_id === $request->user()->id,
                'leader' => $course->instructor->name,
                'staff' => $course->staff->map(fn (User $u) => [
                    'id' => $u->id, 'name' => $u->name, 'part' => $u->getRelationValue('pivot')->part,
                ]),
                'code' => $course->join_until?->isFuture() ? $course->join_code : null,
                'code_until' => $course->join_until?->isFuture() ? $course->join_until->format('j M H:i') : null,
                'trainees' => $course->trainees->map(fn (User $user) => [
                    'id' => $user->id,
                    'name' => $user->name,
                    'signs_in_as' => $user->email,
                    'invited_until' => ($never[$user->id] ?? null)?->format('j M'),
                ]),
            ]),
            'colleagues' => User::query()
                ->where('role', '!=', Role::Trainee)->whereNull('closed_at')->whereKeyNot($request->user()->id)
                ->orderBy('name')->get()
                ->map(fn (User $u) => ['id' => $u->id, 'name' => $u->name, 'teaches' => $u->teaches()]),
            'done' => AuditEntry::query()
                ->where('actor_id', $request->user()->id)
                ->latest('id')
                ->limit(self::LAST)
                ->get()
                ->map(fn (AuditEntry $e) => [
                    'at' => $e->created_at->format('j M H:i'), 'act' => $e->act, 'of' => $e->of, 'of_id' => $e->of_id,
                    'more' => collect($e->more ?? [])->map(fn ($v, $k) => "$k $v")->implode(', '),
                ]),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $course = Course::query()->create([
            'instructor_id' => $request->user()->id,
            'name' => trim($this->text($request, 'name')),
        ]);
        AuditEntry::note($request->user(), 'create class', $course);

        return redirect('/people');
    }

    public function rename(Request $request, Course $course): RedirectResponse
    {
        $course->update(['name' => trim($this->text($request, 'name'))]);
        AuditEntry::note($request->user(), 'rename class', $course);

        return redirect('/people');
    }

    public function openCode(Request $request, Course $course): RedirectResponse
    {
        $this->enrolment->openCode($course, $request->user(), $request->integer('days'));

        return redirect('/people');
    }

    public function closeCode(Request $request, Course $course): RedirectResponse
    {
        $course->update(['join_code' => null, 'join_until' => null]);
        AuditEntry::note($request->user(), 'close join code', $course);

        return redirect('/people');
    }

    /** A list out of a workbook, as lines of text that can still be mended. */
    public function readList(Request $request, Course $course): JsonResponse
    {
        $rows = Workbook::read((string) base64_decode($this->text($request, 'file'), true));
        if ($rows === null) {
            throw ValidationException::withMessages(
                ['file' => 'This is no workbook (.xlsx), or too large for a list. Save it as CSV and open that.'],
            );
        }

        return response()->json(
            ['csv' => Csv::write(array_values(array_filter($rows, fn (array $row) => implode('', $row) !== '')))],
        );
    }

    /** A list before anybody of it is added: each line with what is wrong with it. */
    public function preview(Request $request, Course $course): JsonResponse
    {
        return response()->json(['rows' => Roster::read($this->text($request, 'csv'))]);
    }

    /** All of a list; the links are shown this once and kept nowhere. */
    public function enrol(Request $request, Course $course): JsonResponse
    {
        return response()->json($this->enrolment->enrol($course, $request->user(), $this->text($request, 'csv')));
    }

    public function undo(Request $request, Course $course): JsonResponse
    {
        return response()->json([
            'people' => $this->enrolment->undo($course, $request->user(), $this->text($request, 'batch')),
        ]);
    }

    /** A colleague who teaches or marks in this class too. */
    public function addStaff(Request $request, Course $course): RedirectResponse
    {
        $user = User::query()->whereKey($request->integer('user'))->whereNull('closed_at')->first();
        abort_if($user === null || ! $user->role->isStaff() || $user->id === $course->instructor_id, 404);
        $part = StaffPart::from($this->text($request, 'part'));
        if ($part === StaffPart::Teaches && ! $user->teaches()) {
            throw ValidationException::withMessages(
                ['part' => "$user->name is an assessor: marks, and teaches nothing."],
            );
        }
        $course->staff()->syncWithoutDetaching([$user->id => ['part' => $part]]);
        AuditEntry::note(
            $request->user(),
            'add to staff of class',
            $user,
            ['course' => $course->id, 'part' => $part->value],
        );

        return redirect('/people');
    }

    public function removeStaff(Request $request, Course $course, User $user): RedirectResponse
    {
        abort_unless($course->staff()->detach($user->id) > 0, 404);
        AuditEntry::note($request->user(), 'remove from staff of class', $user, ['course' => $course->id]);

        return redirect('/people');
    }

    /** A new link to set a password with, in place of any before. */
    public function link(Request $request, Course $course, User $user): JsonResponse
    {
        // a password of a trainee of one's own, and of nobody else who may be in the class
        abort_unless($user->role === Role::Trainee && $course->trainees()->whereKey($user->id)->exists(), 404);
        AuditEntry::note($request->user(), 'new access link', $user);

        return response()->json([
            'name' => $user->name, 'signs_in_as' => $user->email, 'link' => Invitations::link($user, $request->user()),
        ]);
    }

    /** Out of the class and of its jobs that were not begun; what was done in the others stays, and can be finished. */
    public function remove(Request $request, Course $course, User $user): RedirectResponse
    {
        abort_unless($course->trainees()->detach($user->id) > 0, 404);
        $begun = $user->attempts()->pluck('assignment_id');
        $user->assignments()->detach(
            Assignment::query()->where('course_id', $course->id)->whereNotIn('id', $begun)->pluck('id'),
        );
        AuditEntry::note($request->user(), 'remove from class', $user, ['course' => $course->id]);

        return redirect('/people');
    }
}
