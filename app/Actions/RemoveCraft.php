<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Take;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Refusal;

/** Removes a craft and its rigs, where nothing was planned or flown with them. */
final readonly class RemoveCraft
{
    public function __invoke(Craft $craft): void
    {
        DB::transaction(static function () use ($craft): void {
            $rigs = Rig::query()->withoutGlobalScope('school')->where('craft_id', $craft->id);
            $ids = $rigs->pluck('id');
            $shots = Shot::query()->withoutGlobalScope('school')->whereIn('rig_id', $ids)->count();
            $takes = Take::query()->withoutGlobalScopes()->where('craft_id', $craft->id)->orWhereIn('rig_id', $ids)->count();
            if ($shots + $takes > 0) {
                throw new Refusal(Fact::of('craft.is-used', shots: $shots, takes: $takes), 'craft', Fact::of('expected.unused-craft'));
            }
            $rigs->delete();
            $craft->delete();
        });
    }
}
