<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Craft as CraftSheet;

/** Enters a craft, with the rig that it leaves the box with, or corrects one. */
final readonly class KeepCraft
{
    /**
     * @param  ?Craft  $craft  null for a new one
     * @param  array<string, mixed>  $document
     * @param  ?array<string, mixed>  $measured
     * @param  int  $version  that was worked on
     */
    public function __invoke(?Craft $craft, array $document, ?array $measured, int $version, User $author): Craft
    {
        $sheet = CraftSheet::read(Fields::of($document, 'document'));
        try {
            $sheet = $sheet->inItsConvention();
        } catch (Refusal $refusal) {
            throw $refusal->at('document');
        }

        return DB::transaction(static function () use ($craft, $sheet, $measured, $version, $author): Craft {
            if (trim($sheet->name) === '') {
                throw new Refusal(Fact::of('craft.needs-name'), 'document.stock.craft', Fact::of('expected.name'));
            }
            $others = Craft::query()->when($craft !== null, static fn ($query) => $query->whereKeyNot($craft?->id));
            if ($others->where('name', $sheet->name)->exists()) {
                throw new Refusal(
                    Fact::of('craft.name-taken', name: $sheet->name), 'document.stock.craft', Fact::of('expected.another-name'),
                );
            }
            if ($craft === null) {
                $craft = Craft::query()->create([
                    'school_id' => $author->school_id, 'name' => $sheet->name, 'document' => $sheet->toArray(), 'measured' => $measured,
                    'entered_by' => $author->id, 'shared' => $author->isTrainer(),
                ]);
                self::rig($craft, $sheet, $author, $author->isTrainer() ? null : $author);

                return $craft->refresh();
            }

            return $craft->saveOver($version, ['name' => $sheet->name, 'document' => $sheet->toArray(), 'measured' => $measured]);
        });
    }

    /** From now on the whole school sees it, with a rig of the school's as it left the box. */
    public function share(Craft $craft, User $trainer): Craft
    {
        return DB::transaction(static function () use ($craft, $trainer): Craft {
            $craft->update(['shared' => true]);
            if (! Rig::of($craft->id, null)->exists()) {
                self::rig($craft, $craft->sheet(), $trainer, null);
            }

            return $craft->refresh();
        });
    }

    /** Removes a craft and its rigs, where nothing was planned or flown with them. */
    public function remove(Craft $craft): void
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

    private static function rig(Craft $craft, CraftSheet $sheet, User $author, ?User $operator): void
    {
        Rig::query()->create([
            'school_id' => $craft->school_id, 'craft_id' => $craft->id, 'operator_id' => $operator?->id, 'author_id' => $author->id,
            'craft' => $sheet->name, 'reason' => $craft->measured === null ? 'As it left the box' : 'As it was measured',
            'document' => $sheet->stock->toArray(),
            'camera' => [...$sheet->camera->lens()->toArray(), 'focal_mm' => $sheet->camera->focals[0]],
        ]);
    }
}
