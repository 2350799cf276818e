<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\FlightDay;
use App\Models\User;

/** A day belongs to the operator who flies it; trainers of the school may see and change it too. */
final class FlightDayPolicy
{
    public function view(User $user, FlightDay $day): bool
    {
        return $user->seesClass() || $day->operator_id === $user->id;
    }

    public function update(User $user, FlightDay $day): bool
    {
        return $user->isTrainer() || $day->operator_id === $user->id;
    }
}
