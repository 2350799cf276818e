<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Craft;
use App\Models\User;

/**
 * Anyone of the school may enter a craft of their own, correct it and remove it; once a trainer has shared it all rigs may rest on it, and
 * trainers correct it.
 */
final class CraftPolicy
{
    public function view(User $user, Craft $craft): bool
    {
        return $craft->shared || $user->seesClass() || $craft->entered_by === $user->id;
    }

    public function update(User $user, Craft $craft): bool
    {
        return $user->isTrainer() || (! $craft->shared && $craft->entered_by === $user->id);
    }

    public function share(User $user, Craft $craft): bool
    {
        return $user->isTrainer();
    }
}
