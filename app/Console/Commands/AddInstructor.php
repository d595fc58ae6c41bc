<?php

namespace App\Console\Commands;

use App\Models\Role;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

class AddInstructor extends Command
{
    protected $signature = 'people:instructor {mail} {name*}';

    protected $description = 'Lets an instructor in, with a first password that is printed once';

    public function handle(): int
    {
        $with = [
            'mail' => mb_strtolower(trim((string) $this->argument('mail'))),
            'name' => trim(implode(' ', (array) $this->argument('name'))),
        ];
        $checked = Validator::make(
            $with,
            [
                'mail' => ['required', 'email', 'max:200', 'unique:users,email'],
                'name' => ['required', 'string', 'max:120'],
            ],
            ['mail.unique' => 'Somebody signs in with that address already.'],
        );
        if ($checked->fails()) {
            $this->error(implode(' ', $checked->errors()->all()));

            return self::FAILURE;
        }
        $password = Str::password(16, symbols: false);
        User::query()->create([
            'name' => $with['name'],
            'email' => $with['mail'],
            'role' => Role::Instructor,
            'password' => $password,
        ]);
        $this->line("{$with['name']} signs in as {$with['mail']} with the password  $password");

        return self::SUCCESS;
    }
}
