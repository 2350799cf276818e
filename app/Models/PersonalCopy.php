<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A copy of everything about a person, for them to take along; it is made in the background and kept for a week.
 *
 * @property int $id
 * @property int $school_id
 * @property int $user_id
 * @property int $asker_id
 * @property 'waiting'|'writing'|'ready'|'failed' $state
 * @property int $done
 * @property int $of
 * @property int $bytes
 * @property Carbon $created_at
 * @property-read User $user
 */
final class PersonalCopy extends Model
{
    use BelongsToSchool;

    public const DAYS = 7;

    protected $fillable = ['school_id', 'user_id', 'asker_id', 'state', 'done', 'of', 'bytes'];

    protected $attributes = ['state' => 'waiting', 'done' => 0, 'of' => 0, 'bytes' => 0];

    /** @var array<string, string> */
    protected $casts = ['done' => 'integer', 'of' => 'integer', 'bytes' => 'integer'];

    /** Where it lies on the storage disk. */
    public function path(): string
    {
        return "copies/$this->id.zip";
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
