<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;

/**
 * What the columns of a maker's CSV are, as somebody of the school confirmed it once.
 *
 * @property int $id
 * @property int $school_id
 * @property string $fingerprint
 * @property array<string, mixed> $mapping
 * @property ?list<string> $headers
 * @property string $file_name
 * @property ?\Illuminate\Support\Carbon $updated_at
 */
final class ColumnMapping extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'fingerprint', 'mapping', 'headers', 'file_name'];

    /** @var array<string, string> */
    protected $casts = ['mapping' => 'array', 'headers' => 'array'];
}
