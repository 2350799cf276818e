<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * One pass, cut from its log, with the summary of its latest judgement.
 *
 * @property int $id
 * @property int $operator_id
 * @property ?int $shot_id
 * @property ?int $rig_id
 * @property int $flight_log_id
 * @property int $number
 * @property string $move
 * @property string $mode
 * @property string $direction
 * @property float $from_s
 * @property float $to_s
 * @property ?float $cut_from_s
 * @property ?float $cut_to_s
 * @property Carbon $flown_at
 * @property float $score
 * @property float $uncertainty
 * @property ?float $ease
 * @property ?float $flow
 * @property ?float $hold
 * @property ?float $line
 * @property ?float $frame
 * @property 'keep'|'fix'|'again'|'other'|'open' $verdict
 * @property float $usable_s
 * @property ?string $decision
 * @property bool $automated
 * @property ?float $tremble
 * @property string $zone  of the site that it was flown at, by its name in the IANA database
 * @property-read ?int $comments_count
 * @property-read User $operator
 * @property-read ?Shot $shot
 * @property-read ?Rig $rig
 * @property-read FlightLog $log
 * @property-read ?Score $judgement
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Comment> $comments
 */
final class Take extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\TakeFactory> */
    use HasFactory;

    use SoftDeletes;

    public const FACETS = ['ease', 'flow', 'hold', 'line', 'frame'];

    protected $fillable = [
        'school_id', 'operator_id', 'shot_id', 'rig_id', 'flight_log_id', 'number', 'move', 'mode', 'direction', 'from_s', 'to_s',
        'cut_from_s', 'cut_to_s', 'flown_at', 'zone',
        'score', 'uncertainty', 'ease', 'flow', 'hold', 'line', 'frame', 'verdict', 'usable_s', 'decision', 'automated', 'tremble',
    ];

    protected $attributes = ['zone' => 'UTC'];

    /** @var array<string, string> */
    protected $casts = [
        'flown_at' => 'datetime', 'from_s' => 'float', 'to_s' => 'float', 'cut_from_s' => 'float', 'cut_to_s' => 'float',
        'score' => 'float', 'uncertainty' => 'float', 'usable_s' => 'float',
        'ease' => 'float', 'flow' => 'float', 'hold' => 'float', 'line' => 'float', 'frame' => 'float', 'number' => 'integer',
        'automated' => 'boolean', 'tremble' => 'float',
    ];

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Shot, $this> */
    public function shot(): BelongsTo
    {
        $relation = $this->belongsTo(Shot::class);
        $relation->withoutGlobalScope(SoftDeletingScope::class);

        return $relation;
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    /** @return BelongsTo<FlightLog, $this> */
    public function log(): BelongsTo
    {
        return $this->belongsTo(FlightLog::class, 'flight_log_id');
    }

    /** @return HasMany<Score, $this> */
    public function scores(): HasMany
    {
        return $this->hasMany(Score::class);
    }

    /**
     * The latest judgement; older ones are kept.
     *
     * @return HasOne<Score, $this>
     */
    public function judgement(): HasOne
    {
        return $this->hasOne(Score::class)->latestOfMany();
    }

    /** @return HasMany<Comment, $this> */
    public function comments(): HasMany
    {
        return $this->hasMany(Comment::class);
    }
}
