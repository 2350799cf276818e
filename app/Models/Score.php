<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One judgement of a take by one version of the method. Judging again adds a record and overwrites none.
 *
 * @property int $id
 * @property int $take_id
 * @property string $method
 * @property array<string, mixed> $intent
 * @property array<string, mixed> $document
 */
final class Score extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'take_id', 'method', 'intent', 'document'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'intent' => 'array'];

    /** @return BelongsTo<Take, $this> */
    public function take(): BelongsTo
    {
        return $this->belongsTo(Take::class);
    }
}
