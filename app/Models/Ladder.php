<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Training\Ladder\Ladder as Steps;
use Larkspur\Training\Ladder\Templates;

/**
 * One version of a school's ladder, with who made it and why. The latest is the one that is climbed; none is ever changed.
 *
 * @property int $id
 * @property ?int $author_id
 * @property int $version
 * @property string $reason
 * @property array<string, mixed> $document
 * @property Carbon $created_at
 * @property-read ?User $author
 */
final class Ladder extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'author_id', 'version', 'reason', 'document'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'version' => 'integer'];

    /** The latest of a school; null where it climbs the one that comes with the application. */
    public static function latestOf(int $school): ?self
    {
        $query = self::query()->where('school_id', $school);
        $query->orderByDesc('version');

        return $query->first();
    }

    public function steps(): Steps
    {
        return Steps::read(Fields::of($this->document));
    }

    /** What a school climbs before it has a ladder of its own. */
    public static function ordinary(): Steps
    {
        return Templates::of(Templates::FOUNDATION);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }
}
