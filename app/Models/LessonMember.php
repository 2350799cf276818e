<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody to whom a lesson was given, what they ticked, and what they said of it.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $operator_id
 * @property list<int> $ticked
 * @property string $comment
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon $updated_at
 * @property-read ?User $operator
 * @property-read Lesson $lesson
 */
final class LessonMember extends Model
{
    protected $fillable = ['lesson_id', 'operator_id', 'ticked', 'comment'];

    protected $attributes = ['ticked' => '[]', 'comment' => ''];

    /** @var array<string, string> */
    protected $casts = ['ticked' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class, 'operator_id');
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }
}
