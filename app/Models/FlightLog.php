<?php

declare(strict_types=1);

namespace App\Models;

use App\Files\BytesGone;
use App\Files\Vault;
use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Larkspur\Fields;
use Larkspur\Telemetry\ColumnMapping as Mapping;
use Larkspur\Telemetry\FlightLog as Telemetry;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\Reading;

/**
 * A log as it was uploaded, kept byte for byte under its SHA-256; everything else about it can be worked out again.
 *
 * @property int $id
 * @property int $owner_id
 * @property string $sha256
 * @property string $file_name
 * @property int $bytes
 * @property 'imported'|'simulated'|'practised' $source
 * @property int $samples
 * @property float $rate_hz
 * @property list<array{line: ?int, column: string, text: string}> $notes
 * @property ?array<string, mixed> $columns
 * @property ?string $reading
 * @property ?float $reading_ground_m
 * @property int $edition
 */
final class FlightLog extends Model
{
    use BelongsToSchool;

    /** @use HasFactory<\Database\Factories\FlightLogFactory> */
    use HasFactory;

    public const IMPORTED = 'imported';

    public const SIMULATED = 'simulated';

    /** Flown in Fly, by somebody's own fingers. */
    public const PRACTISED = 'practised';

    protected $fillable = [
        'school_id', 'owner_id', 'sha256', 'file_name', 'bytes', 'source', 'samples', 'rate_hz', 'notes', 'columns', 'reading',
        'reading_ground_m', 'edition',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'notes' => 'array', 'columns' => 'array', 'bytes' => 'integer', 'samples' => 'integer', 'rate_hz' => 'float',
        'reading_ground_m' => 'float',
    ];

    /** @return HasMany<Take, $this> */
    public function takes(): HasMany
    {
        return $this->hasMany(Take::class);
    }

    /**
     * The log itself, read again from its bytes.
     *
     * @throws BytesGone
     */
    public function read(): Telemetry
    {
        $stream = app(Vault::class)->open($this);
        try {
            $columns = $this->columns === null ? null : Mapping::read(Fields::of($this->columns));

            $log = Formats::reader($this->file_name, $columns)->read($stream)->withSha256($this->sha256);

            return Reading::from($this->reading ?? Reading::AsWritten->value)->of($log, $this->reading_ground_m ?? 0.0);
        } finally {
            fclose($stream);
        }
    }

    /** Where the bytes lie on the storage disk. */
    public function path(): string
    {
        return self::pathOf($this->sha256, $this->file_name);
    }

    public static function pathOf(string $sha256, string $fileName): string
    {
        return 'logs/'.substr($sha256, 0, 2).'/'.$sha256.'.'.Formats::ending($fileName);
    }
}
