<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Progress\LogbookDays;
use App\Progress\OperatorRecord;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Rig\Hands;

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
 * @property ?array<string, mixed> $hands  how they were held as it was flown; null of takes from before that was kept
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
 * @property ?float $climb  of the finger: 100 less what its faults cost, null where it had nothing to do
 * @property ?float $turn
 * @property ?float $run
 * @property ?float $slide
 * @property ?float $tilt
 * @property ?float $distance_m
 * @property ?float $pace_mps
 * @property ?float $wind_mps  mean, of its log or its plan; null where neither tells
 * @property string $faults  ids, the costliest first, with commas between
 * @property 'keep'|'fix'|'again'|'other'|'open' $verdict
 * @property float $usable_s
 * @property ?string $decision
 * @property bool $automated
 * @property ?float $tremble
 * @property bool $practised  flown in Fly rather than with a craft
 * @property ?array{device: string, aids: list<string>, conditions: array<string, mixed>, seed: int} $practice  how
 * @property string $zone  of the site that it was flown at, by its name in the IANA database
 * @property-read ?int $comments_count
 * @property-read User $operator
 * @property-read School $school
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

    /** So many takes tell which faults are common. */
    private const LOOKED_AT = 20;

    public const FACETS = ['ease', 'flow', 'hold', 'line', 'frame'];

    public const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'];

    protected $fillable = [
        'school_id', 'operator_id', 'shot_id', 'rig_id', 'craft_id', 'flight_log_id', 'number', 'move', 'mode', 'direction', 'hands',
        'from_s', 'to_s',
        'cut_from_s', 'cut_to_s', 'flown_at', 'zone',
        'score', 'uncertainty', 'ease', 'flow', 'hold', 'line', 'frame', 'verdict', 'usable_s', 'decision', 'automated', 'tremble',
        'practised', 'practice', ...self::FINGERS, 'distance_m', 'pace_mps', 'wind_mps', 'faults',
    ];

    protected $attributes = ['zone' => 'UTC'];

    /** @var array<string, string> */
    protected $casts = [
        'flown_at' => 'datetime', 'from_s' => 'float', 'to_s' => 'float', 'cut_from_s' => 'float', 'cut_to_s' => 'float',
        'score' => 'float', 'uncertainty' => 'float', 'usable_s' => 'float',
        'ease' => 'float', 'flow' => 'float', 'hold' => 'float', 'line' => 'float', 'frame' => 'float', 'number' => 'integer',
        'climb' => 'float', 'turn' => 'float', 'run' => 'float', 'slide' => 'float', 'tilt' => 'float', 'distance_m' => 'float',
        'pace_mps' => 'float', 'wind_mps' => 'float',
        'automated' => 'boolean', 'tremble' => 'float', 'practised' => 'boolean', 'practice' => 'array', 'hands' => 'array',
    ];

    protected static function booted(): void
    {
        foreach ([self::saved(...), self::deleted(...)] as $when) {
            $when(LogbookDays::recountDayOf(...));
            $when(static fn (self $take) => OperatorRecord::changed($take->operator_id));
        }
    }

    /**
     * Those that a hand flew with a craft: what automation flew says nothing about the hands, and what was practised here is no flight.
     *
     * @return Builder<self>
     */
    public static function handFlown(): Builder
    {
        $query = self::query();
        $query->where('automated', false)->where('practised', false);

        return $query;
    }

    /**
     * The faults that somebody makes most often in their latest takes, practised ones too, the commonest first.
     *
     * @return list<string>
     */
    public static function commonestFaults(int $operator): array
    {
        $query = self::query()->where('operator_id', $operator)->where('automated', false);
        $counts = [];
        foreach ($query->latest('flown_at')->limit(self::LOOKED_AT)->pluck('faults') as $faults) {
            foreach ($faults === '' ? [] : explode(',', $faults) as $fault) {
                $counts[$fault] = ($counts[$fault] ?? 0) + 1;
            }
        }
        arsort($counts);

        return array_slice(array_map(strval(...), array_keys($counts)), 0, 3);
    }

    /** How the sticks were held as it was flown; where nobody kept that, as its operator holds them today. */
    public function held(): Hands
    {
        return Hands::read(Fields::of($this->hands ?? $this->operator->only(['stick_mode', 'wheel_up'])));
    }

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
