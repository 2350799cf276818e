<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A day of flying at one site: its hours, batteries, weather, shots and permissions.
 *
 * @property int $id
 * @property int $operator_id
 * @property int $site_id
 * @property string $title
 * @property Carbon $date
 * @property-read School $school
 * @property string $purpose  what it is for
 * @property array<string, mixed> $document
 * @property int $version
 * @property Carbon $updated_at
 * @property-read Site $site
 * @property-read User $operator
 */
final class FlightDay extends Model
{
    use BelongsToSchool;
    use SoftDeletes;
    use Versioned;

    protected $fillable = ['school_id', 'operator_id', 'site_id', 'title', 'date', 'purpose', 'document', 'version'];

    protected $attributes = ['purpose' => ''];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'date' => 'date:Y-m-d', 'version' => 'integer'];

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        $relation = $this->belongsTo(Site::class);
        $relation->withoutGlobalScope(SoftDeletingScope::class);

        return $relation;
    }

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<DayEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(DayEntry::class);
    }

    public function day(): string
    {
        return $this->date->format('Y-m-d');
    }
}
