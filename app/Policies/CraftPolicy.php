<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Craft;
use App\Models\User;

/** Anyone of the school may enter a craft of their own; what is entered is corrected by trainers, since all rigs rest on it. */
final class CraftPolicy
{
    public function update(User $user, Craft $craft): bool
    {
        return $user->isTrainer();
    }
}
