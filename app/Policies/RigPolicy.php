<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Rig;
use App\Models\User;

/** The school's rigs are seen by all of the school and changed by its trainers; an operator's own by them and the trainers. */
final class RigPolicy
{
    public function view(User $user, Rig $rig): bool
    {
        return $user->seesClass() || $rig->operator_id === null || $rig->operator_id === $user->id;
    }

    /** Whether $user may save a rig that will belong to $operator, or to the school where that is null. */
    public function saveFor(User $user, ?User $operator): bool
    {
        return $user->isTrainer() || $operator?->id === $user->id;
    }
}
