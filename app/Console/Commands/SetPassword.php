<?php

namespace App\Console\Commands;

use App\Actions\People\Links;
use App\Actions\People\SecondStepAtDoor;
use App\Actions\People\Trail;
use App\Models\User;
use Illuminate\Console\Command;

/** For whoever looks after the machine: a new-password link for somebody who forgot. */
final class SetPassword extends Command
{
    protected $signature = 'kettle:password {email} {--second-off : whose phone and codes are lost comes in without them}';

    protected $description = 'Print a link with which somebody sets a new password';

    public function handle(Links $links, Trail $trail, SecondStepAtDoor $second): int
    {
        $user = User::query()->where('email', mb_strtolower($this->argument('email')))->first();
        if ($user === null) {
            $this->error('Nobody here has that e-mail address.');

            return self::FAILURE;
        }
        $this->option('second-off') !== true || $second->off($user, '');
        $trail->account(Trail::LINK_MADE, $user, from: '');
        $this->line(
            'Good for '.config()->integer('kettle.reset_hours').' hours, once: '.url('/new-password/'.$links->reset($user)),
        );

        return self::SUCCESS;
    }
}
