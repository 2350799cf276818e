<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\Recording as Played;

/**
 * What somebody's fingers did in one practice flight or dry rehearsal, as it was sent, with what came of it.
 *
 * @property int $id
 * @property int $operator_id
 * @property-read User $operator
 * @property ?int $shot_id
 * @property ?int $rig_id
 * @property ?int $take_id
 * @property string $uuid
 * @property 'flight'|'rehearsal' $kind
 * @property string $move
 * @property string $sheet
 * @property int $steps
 * @property string $exercise
 * @property string $body
 * @property array<string, mixed> $outcome
 * @property Carbon $made_at
 * @property-read ?Take $take
 */
final class Recording extends Model
{
    use BelongsToSchool;

    public const FLIGHT = 'flight';

    public const REHEARSAL = 'rehearsal';

    protected $fillable = [
        'school_id', 'operator_id', 'shot_id', 'rig_id', 'take_id', 'uuid', 'kind', 'move', 'sheet', 'steps', 'exercise', 'body', 'outcome',
        'made_at',
    ];

    /** @var array<string, string> */
    protected $casts = ['outcome' => 'array', 'made_at' => 'datetime', 'steps' => 'integer'];

    protected $hidden = ['body'];

    /** @return BelongsTo<Take, $this> */
    public function take(): BelongsTo
    {
        return $this->belongsTo(Take::class);
    }

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class, 'operator_id');
    }

    public function practised(): Exercise
    {
        return Exercise::read(Fields::of(json_decode($this->exercise, true, flags: JSON_THROW_ON_ERROR)), kept: true);
    }

    public function played(): Played
    {
        return Played::read(Fields::of(json_decode(self::unpacked($this->body), true, flags: JSON_THROW_ON_ERROR)));
    }

    /**
     * A recording as it is kept: compressed, for it is long.
     *
     * @param  array<string, mixed>  $sent
     */
    public static function packed(array $sent): string
    {
        return base64_encode((string) gzencode(json_encode($sent, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 6));
    }

    public static function unpacked(string $body): string
    {
        return (string) gzdecode((string) base64_decode($body, true));
    }

    /** The file of it (schema larkspur/recording/1): complete, to be flown again by whoever has it. */
    public function file(): string
    {
        return substr(self::unpacked($this->body), 0, -1).',"exercise":'.$this->exercise.'}';
    }
}
