<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\ReadUpload;
use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

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
 * @property 'waiting'|'reading'|'judging'|'columns'|'place'|'done'|'refused'|'failed' $state
 * @property array{message?: string, place?: string, expected?: string, takes?: list<int>, notes?: list<array{line: ?int, column: string,
 * text: string}>, guess?: array<string, mixed>, headers?: list<string>, unsure?: list<array{number: int, from_s: float, to_s: float,
 * candidates: list<string>}>, readings?: list<array{id: string, east_m: float, north_m: float, up_m: float}>} $outcome
 * @property ?array<string, mixed> $columns
 * @property ?array{intent: ?array<string, mixed>, wind: array<string, mixed>, rig_id: ?int, craft_id: ?int, mode: string,
 * how: array<string, mixed>} $practice  of one that was practised here
 * @property ?string $reading
 * @property ?float $reading_ground_m
 * @property Carbon $flown_at
 * @property 'imported'|'simulated'|'practised' $source
 * @property int $tries  how often the work on it was begun
 * @property ?string $leased_by
 * @property ?Carbon $leased_until
 * @property ?Carbon $queued_at
 * @property ?Carbon $seen_at
 * @property Carbon $created_at
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

    /** The work on it broke off, through no fault of the log: its bytes are kept, and it may be tried again. */
    public const FAILED = 'failed';

    /** Somebody should be working on it. */
    public const AT_WORK = [self::READING, self::JUDGING];

    /** Nobody need do anything for it to go on. */
    public const UNDER_WAY = [self::WAITING, ...self::AT_WORK];

    /** Its upload is still wanted. */
    public const OPEN = [...self::UNDER_WAY, self::COLUMNS, self::PLACE, self::FAILED];

    /** Without a sign of life for so long, seconds, something is wrong with the work on it. */
    private const STALLED_AFTER = 45;

    protected $fillable = [
        'school_id', 'owner_id', 'sender_id', 'shot_id', 'flight_log_id', 'file_name', 'path', 'bytes', 'bytes_read', 'state', 'outcome',
        'columns', 'flown_at', 'reading', 'reading_ground_m', 'source', 'tries', 'leased_by', 'leased_until', 'queued_at', 'seen_at',
        'practice',
    ];

    protected $attributes = ['state' => self::WAITING, 'outcome' => '[]', 'bytes_read' => 0];

    /** @var array<string, string> */
    protected $casts = [
        'outcome' => 'array', 'columns' => 'array', 'practice' => 'array', 'flown_at' => 'datetime', 'bytes' => 'integer',
        'bytes_read' => 'integer',
        'reading_ground_m' => 'float', 'tries' => 'integer', 'leased_until' => 'datetime',
        'queued_at' => 'datetime', 'seen_at' => 'datetime',
    ];

    /** Puts it in the queue, once what was written of it holds. */
    public function queue(int $tries = 0): void
    {
        DB::transaction(function () use ($tries): void {
            $this->update([
                'state' => self::WAITING, 'tries' => $tries, 'leased_by' => null, 'leased_until' => null, 'queued_at' => now(),
                'seen_at' => now(), 'outcome' => [],
            ]);
            // A job in the database stands there with the record or not at all; one elsewhere is sent when the record holds.
            $job = new ReadUpload($this->id);
            dispatch(config('queue.default') === 'database' ? $job : $job->afterCommit());
        });
    }

    /** Whether it should go on and shows no sign of it. */
    public function isStalled(): bool
    {
        $seen = $this->seen_at ?? $this->created_at;

        return match (true) {
            in_array($this->state, self::AT_WORK, true) => $seen->lessThan(now()->subSeconds(self::STALLED_AFTER)),
            $this->state === self::WAITING => $seen->lessThan(now()->subSeconds(self::STALLED_AFTER)) && ! self::othersGoOn(),
            default => false,
        };
    }

    /** Whether any log at all shows signs of life: then those that wait have only to wait. */
    private static function othersGoOn(): bool
    {
        return self::query()->withoutGlobalScopes()->where('seen_at', '>=', now()->subSeconds(self::STALLED_AFTER))->exists();
    }

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
