<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Shot;
use App\Models\User;

/** Shots belong to the operator they were worked out for; trainers of the school may see and change them too. */
final class ShotPolicy
{
    public function view(User $user, Shot $shot): bool
    {
        return $user->seesClass() || $shot->operator_id === $user->id;
    }

    public function update(User $user, Shot $shot): bool
    {
        return $user->isTrainer() || $shot->operator_id === $user->id;
    }

    public function fly(User $user, Shot $shot): bool
    {
        return $user->isTrainer() || $shot->operator_id === $user->id;
    }
}
