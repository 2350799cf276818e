<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Take;
use App\Models\User;

/** Takes are seen by whoever flew them and by the trainers of the school; only trainers comment. */
final class TakePolicy
{
    public function view(User $user, Take $take): bool
    {
        return $user->seesClass() || $take->operator_id === $user->id;
    }

    public function decide(User $user, Take $take): bool
    {
        return $user->isTrainer() || $take->operator_id === $user->id;
    }

    public function comment(User $user, Take $take): bool
    {
        return $user->isTrainer();
    }
}
