<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** From now on the whole school sees a craft, with a rig of the school's as it left the box. */
final readonly class ShareCraft
{
    public function __invoke(Craft $craft, User $trainer): Craft
    {
        return DB::transaction(static function () use ($craft, $trainer): Craft {
            $craft->update(['shared' => true]);
            if (! Rig::of($craft->id, null)->exists()) {
                Rig::leavingTheBox($craft, $trainer, null);
            }

            return $craft->refresh();
        });
    }
}
