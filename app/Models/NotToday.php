<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A suggestion that somebody did not want on a day.
 *
 * @property int $id
 * @property int $operator_id
 * @property string $suggestion
 * @property Carbon $created_at
 */
final class NotToday extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'operator_id', 'suggestion'];
}
