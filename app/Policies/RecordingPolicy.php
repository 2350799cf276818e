<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Recording;
use App\Models\User;

/** What somebody's fingers did is theirs, and their trainers'. */
final class RecordingPolicy
{
    public function view(User $user, Recording $recording): bool
    {
        return $user->seesClass() || $recording->operator_id === $user->id;
    }
}
