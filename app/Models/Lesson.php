<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A lesson that a trainer set: what it is for, its steps, by when, for whom.
 *
 * @phpstan-type LessonStep array{
 *     kind: 'read'|'spot'|'rehearse'|'practise'|'fly'|'debrief', move: string, shot_id: ?int, passes: int, note: string,
 * }
 *
 * @property int $id
 * @property ?int $author_id
 * @property string $title
 * @property string $purpose
 * @property list<LessonStep> $steps
 * @property ?int $minutes
 * @property ?int $batteries
 * @property ?Carbon $wanted_on
 * @property int $version
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read ?User $author
 * @property-read \Illuminate\Database\Eloquent\Collection<int, LessonMember> $members
 */
final class Lesson extends Model
{
    use BelongsToSchool;
    use SoftDeletes;
    use Versioned;

    public const KINDS = ['read', 'spot', 'rehearse', 'practise', 'fly', 'debrief'];

    protected $fillable = ['school_id', 'author_id', 'title', 'purpose', 'steps', 'minutes', 'batteries', 'wanted_on', 'version'];

    protected $attributes = ['version' => 1];

    /** @var array<string, string> */
    protected $casts = [
        'steps' => 'array', 'wanted_on' => 'date', 'version' => 'integer', 'minutes' => 'integer', 'batteries' => 'integer',
    ];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /** @return HasMany<LessonMember, $this> */
    public function members(): HasMany
    {
        return $this->hasMany(LessonMember::class);
    }
}
