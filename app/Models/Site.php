<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Larkspur\Fields;
use Larkspur\Site\Site as SiteSheet;

/**
 * A place to film at; many shots and flight days use it.
 *
 * @property int $id
 * @property string $name
 * @property string $about
 * @property int $version
 * @property ?int $author_id
 * @property array<string, mixed> $document
 * @property list<array{
 *     id: string, name: string, lat: float, lon: float, alt_m: float, base_alt_m: float, route?: array<string, mixed>,
 * }> $subjects
 */
final class Site extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\SiteFactory> */
    use HasFactory;

    use SoftDeletes;
    use Versioned;

    protected $fillable = ['school_id', 'author_id', 'name', 'about', 'document', 'subjects', 'version'];

    /** @var array<string, string> */
    protected $casts = ['document' => 'array', 'subjects' => 'array', 'version' => 'integer'];

    /** As core/ reads it. */
    public function sheet(): SiteSheet
    {
        return SiteSheet::read(Fields::of(['name' => $this->name, ...$this->document], 'site'), kept: true);
    }
}
