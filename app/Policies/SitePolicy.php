<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Site;
use App\Models\User;

/** Sites are the school's: all of it sees them; whoever drew one and the trainers change it. */
final class SitePolicy
{
    public function update(User $user, Site $site): bool
    {
        return $user->isTrainer() || $site->author_id === $user->id;
    }
}
