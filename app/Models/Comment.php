<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What someone said about one moment of a take.
 *
 * @property int $id
 * @property int $take_id
 * @property int $author_id
 * @property float $at_s
 * @property string $text
 * @property Carbon $created_at
 * @property-read User $author
 */
final class Comment extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\CommentFactory> */
    use HasFactory;

    use SoftDeletes;

    protected $fillable = ['school_id', 'take_id', 'author_id', 'at_s', 'text'];

    /** @var array<string, string> */
    protected $casts = ['at_s' => 'float'];

    /** @return BelongsTo<Take, $this> */
    public function take(): BelongsTo
    {
        return $this->belongsTo(Take::class);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
