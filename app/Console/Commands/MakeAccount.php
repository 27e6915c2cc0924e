<?php

namespace App\Console\Commands;

use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

/** For whoever looks after the machine: an account where nobody makes one by themselves, and a link to set its password. */
final class MakeAccount extends Command
{
    protected $signature = 'kettle:account {email} {name}';

    protected $description = 'Make an account, and print a link with which its password is set';

    public function handle(): int
    {
        $asked = ['email' => mb_strtolower($this->argument('email')), 'name' => trim($this->argument('name'))];
        $checked = Validator::make($asked, [
            'email' => ['bail', 'required', 'email', 'max:190', 'unique:users,email'],
            'name' => ['required', 'string', 'max:80'],
        ]);
        if ($checked->fails()) {
            $this->error(implode(' ', $checked->errors()->all()));

            return self::FAILURE;
        }
        User::query()->create([...$asked, 'password' => Str::random(60), 'prefs' => User::PREFS]);

        return $this->call('kettle:password', ['email' => $asked['email']]);
    }
}
