<?php

namespace App\Console\Commands;

use App\Models\AccessLink;
use App\Models\Role;
use App\People\Invitations;
use App\People\Persons;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;

class AddStaff extends Command
{
    protected $signature = 'people:staff {role} {mail} {name*}';

    protected $description = 'Lets an administrator or an instructor in, by a link that is printed once';

    public function handle(): int
    {
        $with = [
            'role' => (string) $this->argument('role'),
            'mail' => mb_strtolower(trim((string) $this->argument('mail'))),
            'name' => trim(implode(' ', (array) $this->argument('name'))),
        ];
        $checked = Validator::make(
            $with,
            [
                'role' => [Rule::in([Role::Administrator->value, Role::Instructor->value])],
                'mail' => ['required', 'email', 'max:200', 'unique:users,email'],
                'name' => ['required', 'string', 'max:120'],
            ],
            ['mail.unique' => 'Somebody signs in with that address already.'],
        );
        if ($checked->fails()) {
            $this->error(implode(' ', $checked->errors()->all()));

            return self::FAILURE;
        }
        $link = DB::transaction(function () use ($with): string {
            $user = Persons::add(null, $with['name'], $with['mail'], Role::from($with['role']));

            return Invitations::link($user, $user);
        });
        $this->line(
            "{$with['name']} signs in as {$with['mail']}. The password is set here, once, within ".AccessLink::DAYS.' days:',
        );
        $this->line($link);

        return self::SUCCESS;
    }
}
