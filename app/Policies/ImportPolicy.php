<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Import;
use App\Models\User;

/** An import is followed by whoever started it, and by the trainers of the school. */
final class ImportPolicy
{
    public function view(User $user, Import $import): bool
    {
        return $user->seesClass() || $import->owner_id === $user->id || $import->sender_id === $user->id;
    }
}
