<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;

/**
 * What somebody looks for in a logbook again and again.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property array<string, string> $filter  as the list of takes is asked
 */
final class KeptFilter extends Model
{
    use BelongsToSchool;

    public const FIELDS = ['move', 'flown', 'mode', 'direction', 'from', 'to', 'fault', 'craft', 'site', 'air', 'least', 'most'];

    protected $fillable = ['school_id', 'user_id', 'name', 'filter'];

    /** @var array<string, string> */
    protected $casts = ['filter' => 'array'];
}
