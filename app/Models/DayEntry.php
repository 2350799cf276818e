<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Larkspur\FlightDay\FieldEntry;

/**
 * Something entered in the field: a tick, a pass that was flown, a battery begun or ended. Never changed, only added to.
 *
 * @property int $id
 * @property int $flight_day_id
 * @property int $author_id
 * @property string $uuid
 * @property string $kind
 * @property string $item
 * @property array<string, mixed> $payload
 * @property string $device
 * @property Carbon $made_at
 * @property Carbon $created_at
 * @property-read User $author
 */
final class DayEntry extends Model
{
    use BelongsToSchool;

    public const KINDS = FieldEntry::KINDS;

    protected $fillable = ['school_id', 'flight_day_id', 'author_id', 'uuid', 'kind', 'item', 'payload', 'device', 'made_at'];

    /** @var array<string, string> */
    protected $casts = ['payload' => 'array', 'made_at' => 'datetime:Y-m-d H:i:s.v'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
