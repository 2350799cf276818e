<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Larkspur\Practice\Detection;

/**
 * A take with a hidden fault, or with none, that somebody looked at: what was in it, and what they said.
 *
 * @property int $id
 * @property int $operator_id
 * @property ?int $shot_id
 * @property string $move
 * @property ?string $fault
 * @property ?string $finger
 * @property ?float $from_s
 * @property ?float $to_s
 * @property ?array<string, mixed> $said
 * @property 'hit'|'miss'|'false-alarm'|'correct-rejection'|null $outcome
 */
final class Spotting extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'operator_id', 'shot_id', 'move', 'fault', 'finger', 'from_s', 'to_s', 'said', 'outcome'];

    /** @var array<string, string> */
    protected $casts = ['said' => 'array', 'from_s' => 'float', 'to_s' => 'float'];

    /** How well an operator's eye has told so far. */
    public static function detectionOf(int $operator): Detection
    {
        $query = self::query()->where('operator_id', $operator)->whereNotNull('outcome');
        $counts = $query->selectRaw('outcome, count(*) as rounds')->groupBy('outcome')->pluck('rounds', 'outcome')->all();
        $of = static fn (string $outcome): int => (int) ($counts[$outcome] ?? 0);

        return new Detection($of('hit'), $of('miss'), $of('false-alarm'), $of('correct-rejection'));
    }
}
