<?php

namespace App\People;

use App\Models\AccessLink;
use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Who comes into a class and who leaves it.
 *
 * @phpstan-import-type Row from Roster
 */
class Enrolment
{
    /** Letters of a join code that nobody takes for others. */
    private const CODE = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

    private const CODE_LETTERS = 8;

    /**
     * All of a list, or nobody: each gets a sign-in name and a link to set a password with.
     *
     * @return array{batch: string, people: list<array{name: string, signs_in_as: string, link: string}>}
     *
     * @throws ValidationException with what is wrong, by line
     */
    public function enrol(Course $course, User $by, string $csv): array
    {
        $rows = Roster::read($csv);
        $wrong = array_filter($rows, fn (array $row) => $row['error'] !== null);
        if ($rows === [] || $wrong !== []) {
            $first = reset($wrong);
            throw ValidationException::withMessages([
                'csv' => $first === false
                    ? 'There is nobody on the list. Write one person a line: a name, and a mail address if there is one.'
                    : "Nobody was added. Line {$first['line']}: {$first['error']}",
            ]);
        }
        $batch = (string) Str::uuid();
        // nobody knows it: the link sets the first that is used. Hashed once: a hash is slow by design, and a list long
        $unknown = Hash::make(Str::random(40));

        return DB::transaction(function () use ($rows, $course, $by, $batch, $unknown): array {
            $people = [];
            foreach ($rows as $row) {
                $user = User::query()->create([
                    'name' => $row['name'],
                    'email' => $row['mail'] !== '' ? $row['mail'] : $this->signInName($row['name']),
                    'role' => Role::Trainee,
                    'password' => $unknown,
                ]);
                $course->trainees()->attach($user->id);
                $people[] = [
                    'name' => $user->name, 'signs_in_as' => $user->email,
                    'link' => Invitations::link($user, $by, $batch),
                ];
            }
            AuditEntry::note($by, 'enrol', $course, ['people' => count($people)]);

            return ['batch' => $batch, 'people' => $people];
        });
    }

    /** Takes back who came in with a list and has not come yet; returns how many. */
    public function undo(Course $course, User $by, string $batch): int
    {
        return DB::transaction(function () use ($course, $by, $batch): int {
            $never = AccessLink::query()->where('batch', $batch)->where('created_by', $by->id)->whereNull('used_at');
            $ids = $course->trainees()->whereIn('users.id', $never->pluck('user_id'))->pluck('users.id');
            User::query()->whereIn('id', $ids)->whereDoesntHave('attempts')->delete();
            AuditEntry::note($by, 'undo enrol', $course, ['people' => $ids->count()]);

            return $ids->count();
        });
    }

    /** A code with which people come into a class by themselves, for so many days. */
    public function openCode(Course $course, User $by, int $days): void
    {
        do {
            $code = '';
            for ($i = 0; $i < self::CODE_LETTERS; $i++) {
                $code .= self::CODE[random_int(0, strlen(self::CODE) - 1)];
            }
        } while (Course::query()->where('join_code', $code)->exists());
        $course->update(['join_code' => $code, 'join_until' => now()->addDays($days)]);
        AuditEntry::note($by, 'open join code', $course, ['days' => $days]);
    }

    /** The class that a code leads to now. */
    public function course(string $code): ?Course
    {
        $plain = strtoupper((string) preg_replace('/[^A-Za-z0-9]/', '', $code));

        return $plain === ''
            ? null
            : Course::query()->where('join_code', $plain)->where('join_until', '>', now())->first();
    }

    /** A name to sign in with for somebody without a mail address: "anna.k7". */
    public function signInName(string $name): string
    {
        $base = Str::limit(Str::slug($name, '.'), 40, '') ?: 'trainee';
        do {
            $as = $base.random_int(10, 9999);
        } while (User::query()->where('email', $as)->exists());

        return $as;
    }
}
