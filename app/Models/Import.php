<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A log on its way in, and what became of it.
 *
 * @property int $id
 * @property int $school_id
 * @property int $owner_id
 * @property ?int $sender_id
 * @property ?int $shot_id
 * @property ?int $flight_log_id
 * @property string $file_name
 * @property string $path
 * @property int $bytes
 * @property int $bytes_read
 * @property 'waiting'|'reading'|'judging'|'columns'|'place'|'done'|'refused' $state
 * @property array{message?: string, place?: string, expected?: string, takes?: list<int>, notes?: list<array{line: ?int, column: string,
 * text: string}>, guess?: array<string, mixed>, headers?: list<string>, unsure?: list<array{number: int, from_s: float, to_s: float,
 * candidates: list<string>}>, readings?: list<array{id: string, east_m: float, north_m: float, up_m: float}>} $outcome
 * @property ?array<string, mixed> $columns
 * @property ?string $reading
 * @property ?float $reading_ground_m
 * @property Carbon $flown_at
 * @property-read ?Shot $shot
 * @property-read User $owner
 */
final class Import extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\ImportFactory> */
    use HasFactory;

    public const WAITING = 'waiting';

    public const READING = 'reading';

    public const JUDGING = 'judging';

    /** Its columns have names of their own, and somebody has to say what they are. */
    public const COLUMNS = 'columns';

    /** It lies elsewhere than its plan, and somebody has to say how it is meant. */
    public const PLACE = 'place';

    public const DONE = 'done';

    public const REFUSED = 'refused';

    protected $fillable = [
        'school_id', 'owner_id', 'sender_id', 'shot_id', 'flight_log_id', 'file_name', 'path', 'bytes', 'bytes_read', 'state', 'outcome',
        'columns', 'flown_at', 'reading', 'reading_ground_m',
    ];

    protected $attributes = ['state' => self::WAITING, 'outcome' => '[]', 'bytes_read' => 0];

    /** @var array<string, string> */
    protected $casts = [
        'outcome' => 'array', 'columns' => 'array', 'flown_at' => 'datetime', 'bytes' => 'integer', 'bytes_read' => 'integer',
        'reading_ground_m' => 'float',
    ];

    /** @return BelongsTo<Shot, $this> */
    public function shot(): BelongsTo
    {
        $relation = $this->belongsTo(Shot::class);
        $relation->withoutGlobalScope(SoftDeletingScope::class);

        return $relation;
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
