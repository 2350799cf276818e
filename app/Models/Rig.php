<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Rig\Rig as RigSheet;

/**
 * One version of a craft's settings. A change makes a new record; takes keep the one they were flown with.
 *
 * @property int $id
 * @property int $craft_id
 * @property ?int $operator_id
 * @property ?int $author_id
 * @property string $craft
 * @property int $version
 * @property string $reason
 * @property array<string, mixed> $document
 * @property array{hfov_deg: float, aspect: float, focal_mm?: float} $camera
 * @property Carbon $created_at
 * @property-read Craft $model
 * @property-read ?User $operator
 * @property-read ?User $author
 */
final class Rig extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\RigFactory> */
    use HasFactory;

    protected $fillable = ['school_id', 'craft_id', 'operator_id', 'author_id', 'craft', 'version', 'reason', 'document', 'camera'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'camera' => 'array', 'version' => 'integer'];

    /**
     * The craft itself; `craft` is its name as it was then.
     *
     * @return BelongsTo<Craft, $this>
     */
    public function model(): BelongsTo
    {
        return $this->belongsTo(Craft::class, 'craft_id');
    }

    /** @return BelongsTo<User, $this> */
    public function operator(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Whether no later version of it is kept. */
    private ?bool $latest = null;

    /**
     * The document. In the latest version stick mode and wheel are as whoever flies it holds them today: those are theirs, and stand with
     * them alone. An earlier one tells how they were held then.
     *
     * @return array<string, mixed>
     */
    public function asHeld(): array
    {
        $hands = $this->document['hands'] ?? null;
        $theirs = $this->operator_id !== null && is_array($hands) && $this->isLatest();
        $operator = $theirs ? $this->loadMissing('operator')->operator : null;

        return $operator === null ? $this->document : [
            ...$this->document, 'hands' => [...$hands, 'stick_mode' => $operator->stick_mode, 'wheel_up' => $operator->wheel_up],
        ];
    }

    private function isLatest(): bool
    {
        return $this->latest ??= ! $this->exists
            || $this->versions()->withoutGlobalScope('school')->value('id') === $this->id;
    }

    public function sheet(): RigSheet
    {
        return RigSheet::read(Fields::of($this->asHeld()));
    }

    /** The first version of a craft's rig, for an operator or for the school where that is null: as the craft was entered. */
    public static function leavingTheBox(Craft $craft, User $author, ?User $operator): self
    {
        $sheet = $craft->sheet();

        return self::query()->create([
            'school_id' => $craft->school_id, 'craft_id' => $craft->id, 'operator_id' => $operator?->id, 'author_id' => $author->id,
            'craft' => $craft->name, 'reason' => $craft->measured === null ? 'As it left the box' : 'As it was measured',
            'document' => $sheet->stock->toArray(),
            'camera' => [...$sheet->camera->lens()->toArray(), 'focal_mm' => $sheet->camera->focals[0]],
        ]);
    }

    /**
     * All versions of a craft's rig for an operator, or for the school where that is null, the latest first.
     *
     * @return Builder<self>
     */
    public static function of(int $craft, ?int $operator): Builder
    {
        $query = self::query()->where('craft_id', $craft)->where('operator_id', $operator);
        $query->orderByDesc('version')->orderByDesc('id');

        return $query;
    }

    /**
     * All versions of the same craft for the same operator, the latest first.
     *
     * @return Builder<self>
     */
    public function versions(): Builder
    {
        return self::of($this->craft_id, $this->operator_id);
    }

    /** @return array<string, mixed> settings and camera in one, as versions are compared */
    public function settings(): array
    {
        // As it is read: what an earlier release did not say stands as what it meant.
        return [...$this->sheet()->toArray(), 'camera' => $this->camera];
    }

    /** Width of what its camera records, pixels. */
    public function recordedWidth(): int
    {
        return $this->model->sheet()->camera->resolutions[0][0] ?? 3840;
    }
}
