<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Spotting;
use App\Models\User;

/** A round of "spot it" is answered by whoever it was set for. */
final class SpottingPolicy
{
    public function update(User $user, Spotting $spotting): bool
    {
        return $spotting->operator_id === $user->id;
    }
}
