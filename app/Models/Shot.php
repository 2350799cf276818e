<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Shot as PlannedShot;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Site\Zone;

/**
 * A shot as an operator has worked it out: what it is meant to be, where, with which rig.
 *
 * @property int $id
 * @property int $operator_id
 * @property int $site_id
 * @property int $rig_id
 * @property string $title
 * @property 'slow'|'standard'|'fast' $mode
 * @property string $move
 * @property array<string, mixed> $intent
 * @property array<string, mixed> $wind
 * @property ?array<string, mixed> $brief
 * @property Carbon $updated_at
 * @property-read ?int $takes_count
 * @property-read Site $site
 * @property-read Rig $rig
 * @property-read User $operator
 */
final class Shot extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\ShotFactory> */
    use HasFactory;

    use SoftDeletes;
    use Versioned;

    protected $fillable = ['school_id', 'operator_id', 'site_id', 'rig_id', 'title', 'mode', 'move', 'intent', 'wind', 'brief', 'version'];

    /** @var array<string, string> */
    protected $casts = ['intent' => 'array', 'wind' => 'array', 'brief' => 'array', 'version' => 'integer'];

    protected $attributes = ['version' => 1];

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        $relation = $this->belongsTo(Site::class);
        $relation->withoutGlobalScope(SoftDeletingScope::class);

        return $relation;
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Take, $this> */
    public function takes(): HasMany
    {
        return $this->hasMany(Take::class);
    }

    /** The clock of its site. */
    public function zone(): Zone
    {
        return new Zone($this->site->document['zone'] ?? 'UTC');
    }

    /** Which of the site's named subjects the shot is of; null where it is of some other place. */
    public function subjectId(): ?string
    {
        foreach ($this->site->subjects as $subject) {
            $own = is_array($this->intent['subject'] ?? null) ? $this->intent['subject'] : [];
            if (($own['lat'] ?? null) === $subject['lat'] && ($own['lon'] ?? null) === $subject['lon']) {
                return $subject['id'];
            }
        }

        return null;
    }

    /**
     * Where the subject stands, in the site's metres, where it is none of the named ones: what a draft sends as subject_at.
     *
     * @return ?array{east_m: float, north_m: float, base_m: float, aim_m: float}
     */
    public function subjectAt(): ?array
    {
        $own = $this->intent['subject'] ?? null;
        if (! is_array($own) || $this->subjectId() !== null) {
            return null;
        }
        $frame = new LocalFrame(GeoPoint::read(Fields::of($this->site->document, 'site')->group('home')));
        $fields = Fields::of($own, 'subject');
        $point = $frame->position(GeoPoint::read($fields));
        $foot = ($fields->numberOrNull('base_alt_m', -1000, 10000, 'm') ?? $frame->origin->altitude) - $frame->origin->altitude;

        return [
            'east_m' => round($point->east, 3), 'north_m' => round($point->north, 3), 'base_m' => round($foot, 3),
            'aim_m' => round($point->up - $foot, 3),
        ];
    }

    /**
     * The shot as core/ plans and flies it (schema larkspur/shot/1).
     *
     * @param  ?Rig  $rig  another version than the shot's own, such as that of an older take
     */
    public function planned(?Rig $rig = null): PlannedShot
    {
        return PlannedShot::read(Fields::of($this->document($rig ?? $this->rig)), kept: true);
    }

    public function brief(): Brief
    {
        return Brief::read($this->brief === null ? null : Fields::of($this->brief, 'brief'));
    }

    /**
     * The same shot in another wind than the one that it was planned in.
     *
     * @param  ?array<string, mixed>  $wind
     */
    public function plannedIn(?array $wind): PlannedShot
    {
        return PlannedShot::read(Fields::of([...$this->document($this->rig), ...$wind === null ? [] : ['wind' => $wind]]), kept: true);
    }

    /** @return array<string, mixed> */
    private function document(Rig $rig): array
    {
        return [
            'schema' => PlannedShot::SCHEMA,
            'intent' => [...$this->intent, 'camera' => $rig->camera],
            'rig' => $rig->document,
            'mode' => $this->mode,
            'site' => ['name' => $this->site->name, ...$this->site->document],
            'wind' => $this->wind,
            'operator' => ['stick_mode' => $this->operator->stick_mode, 'wheel_up' => $this->operator->wheel_up],
            'comfort' => $this->operator->school->house_style['comfort'],
            'layers' => $this->brief['layers'] ?? null,
        ];
    }
}
