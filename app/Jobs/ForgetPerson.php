<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Accounts\RemovePerson;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Removes a person in the background: of thousands of takes it takes a while. They are shut out from the moment it is asked for. */
final class ForgetPerson implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 590;

    public function __construct(private readonly int $user)
    {
    }

    public function handle(RemovePerson $remove): void
    {
        $user = User::query()->withoutGlobalScopes()->find($this->user);
        if ($user !== null) {
            $remove($user);
        }
    }
}
