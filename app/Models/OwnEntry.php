<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A flight without a log, as its operator wrote it down: it counts in hours and batteries, and is no evidence of anything.
 *
 * @property int $id
 * @property int $operator_id
 * @property Carbon $flown_at
 * @property float $minutes
 * @property int $batteries
 * @property string $craft
 * @property string $place
 * @property string $text
 */
final class OwnEntry extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'operator_id', 'flown_at', 'minutes', 'batteries', 'craft', 'place', 'text'];

    /** @var array<string, string> */
    protected $casts = ['flown_at' => 'datetime', 'minutes' => 'float', 'batteries' => 'integer'];
}
