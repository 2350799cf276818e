<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * One version of a craft's settings. A change makes a new record; takes keep the one they were flown with.
 *
 * @property int $id
 * @property ?int $operator_id
 * @property string $craft
 * @property int $version
 * @property string $reason
 * @property array<string, mixed> $document
 * @property array{hfov_deg: float, aspect: float} $camera
 */
final class Rig extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\RigFactory> */
    use HasFactory;

    protected $fillable = ['school_id', 'operator_id', 'craft', 'version', 'reason', 'document', 'camera'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'camera' => 'array', 'version' => 'integer'];
}
