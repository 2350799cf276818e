<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\School;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Auth;

/**
 * Keeps a record within its school: whoever is signed in sees only records of their own school, so another school's
 * take is not found rather than forbidden, and new records are given the school of whoever makes them.
 *
 * Work without anyone signed in (the queue, the demo loader) sees all and names the school itself.
 *
 * @property int $school_id
 */
trait BelongsToSchool
{
    public static function bootBelongsToSchool(): void
    {
        static::addGlobalScope('school', static function (Builder $query): void {
            $user = Auth::hasUser() ? Auth::user() : null;
            if ($user instanceof User) {
                $query->where($query->getModel()->qualifyColumn('school_id'), $user->school_id);
            }
        });
        static::creating(static function (self $record): void {
            $user = Auth::hasUser() ? Auth::user() : null;
            if ($user instanceof User && $record->getAttribute('school_id') === null) {
                $record->setAttribute('school_id', $user->school_id);
            }
        });
    }

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }
}
