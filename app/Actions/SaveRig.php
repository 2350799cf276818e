<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Refusal;
use Larkspur\Rig\Difference;
use Larkspur\Rig\Hands;
use Larkspur\Rig\Rig as RigSheet;
use Larkspur\Rig\ThreeWay;

/**
 * Keeps a new version of a rig. Shots of whoever it belongs to are flown with it from now on; takes keep the version that
 * they were flown with.
 */
final readonly class SaveRig
{
    /**
     * @param  ?User  $operator  whose rig it is; null for the school's own
     * @param  Rig  $base  the version that was worked on
     * @param  array<string, mixed>  $settings  modes, hands, ducted
     * @param  ?Carbon  $at  when it was, where not now
     *
     * @throws Refusal where the craft can't do it, or nothing changed
     * @throws SavedFirst where another version came between
     */
    public function __invoke(
        ?User $operator, Rig $base, array $settings, ?float $focal, string $reason, User $author, ?Carbon $at = null,
    ): Rig {
        $craft = Craft::query()->findOrFail($base->craft_id);
        $sheet = $craft->sheet()->setUp(
            [...array_intersect_key($base->asHeld(), ['hands' => 1, 'ducted' => 1]), ...$settings], $base->sheet(),
        );
        $camera = $focal === null ? $base->camera : [...$craft->sheet()->camera->lens($focal)->toArray(), 'focal_mm' => $focal];

        return DB::transaction(function () use ($operator, $base, $craft, $sheet, $camera, $reason, $author, $at): Rig {
            // One saver at a time for each craft.
            Craft::query()->whereKey($craft->id)->lockForUpdate()->firstOrFail();
            $latest = Rig::of($craft->id, $operator?->id)->with(['author', 'operator'])->first();
            $mine = [...$sheet->toArray(), 'camera' => $camera];
            if ($latest !== null && $latest->id !== $base->id) {
                throw new SavedFirst($latest, ThreeWay::between($base->settings(), $latest->settings(), $mine));
            }
            if ($latest !== null && Difference::between($latest->settings(), $mine) === []) {
                throw new Refusal(Fact::of('rig.nothing-different'), 'settings', Fact::of('expected.change'));
            }
            $rig = Rig::query()->create([
                'school_id' => $craft->school_id, 'craft_id' => $craft->id, 'operator_id' => $operator?->id, 'author_id' => $author->id,
                'craft' => $craft->name,
                'version' => ($latest->version ?? 0) + 1, 'reason' => $reason, 'document' => $sheet->toArray(), 'camera' => $camera,
            ]);
            if ($at !== null) {
                $rig->forceFill(['created_at' => $at])->save();
            }
            $this->fly($rig, $operator);
            $this->hold($operator, $sheet);

            return $rig->load(['model', 'author', 'operator']);
        });
    }

    /** From now on the shots of this version's owner are flown with it. */
    private function fly(Rig $rig, ?User $operator): void
    {
        $earlier = Rig::query()->where('craft_id', $rig->craft_id)->whereKeyNot($rig->id);
        $ids = $earlier->where(static function (Builder $query) use ($operator): void {
            $query->where('operator_id', $operator?->id);
            if ($operator !== null) {
                $query->orWhereNull('operator_id');
            }
        })->pluck('id');
        $shots = Shot::query()->when(
            $operator !== null, static fn (Builder $query): Builder => $query->where('operator_id', $operator?->id),
        );
        $shots->whereIn('rig_id', $ids);
        // What an operator last worked on stays what they last worked on.
        $shots->toBase()->update(['rig_id' => $rig->id]);
    }

    /** Stick mode and wheel are the operator's on every craft. */
    private function hold(?User $operator, RigSheet $sheet): void
    {
        if ($operator !== null && $sheet->hands instanceof Hands) {
            $operator->update(['stick_mode' => $sheet->hands->mode->value, 'wheel_up' => $sheet->hands->wheelUp ? 'push' : 'pull']);
        }
    }
}
