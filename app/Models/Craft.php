<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Larkspur\Fields;
use Larkspur\Rig\Craft as CraftSheet;

/**
 * A machine that the school flies. Rigs of it keep what they were even where its numbers are measured anew.
 *
 * @property int $id
 * @property string $name
 * @property int $version
 * @property array<string, mixed> $document
 * @property ?array<string, mixed> $measured
 * @property ?int $entered_by
 * @property bool $shared  whether the whole school sees it; else it is of whoever entered it
 */
final class Craft extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\CraftFactory> */
    use HasFactory;

    use Versioned;

    protected $fillable = ['school_id', 'name', 'version', 'document', 'measured', 'entered_by', 'shared'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'measured' => 'array', 'version' => 'integer', 'shared' => 'boolean'];

    /**
     * Those that somebody sees: the school's, and their own.
     *
     * @return Builder<self>
     */
    public static function seenBy(User $user): Builder
    {
        return self::query()->when(
            ! $user->seesClass(),
            static fn (Builder $query) => $query->where(
                static fn (Builder $seen) => $seen->where('shared', true)->orWhere('entered_by', $user->id),
            ),
        );
    }

    public function sheet(): CraftSheet
    {
        return CraftSheet::read(Fields::of($this->document));
    }
}
