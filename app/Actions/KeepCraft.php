<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
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
                Rig::leavingTheBox($craft, $author, $author->isTrainer() ? null : $author);

                return $craft->refresh();
            }

            return $craft->saveOver($version, ['name' => $sheet->name, 'document' => $sheet->toArray(), 'measured' => $measured]);
        });
    }
}
