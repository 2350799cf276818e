<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\Reading;

/**
 * How the places and heights of one maker's logs are meant, as somebody of the school said it once. Only asked where a log as it is
 * written lies elsewhere than its plan, and only taken where it brings the log there.
 *
 * @property int $id
 * @property int $school_id
 * @property string $maker
 * @property string $reading
 * @property string $file_name
 * @property ?\Illuminate\Support\Carbon $updated_at
 */
final class RememberedReading extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'maker', 'reading', 'file_name'];

    /** What tells the makers of logs apart: the kind of file, and how its columns are read. */
    public static function makerOf(Import $import): string
    {
        $columns = $import->columns === null ? '' : ' '.hash('xxh128', json_encode($import->columns, JSON_THROW_ON_ERROR));

        return Formats::ending($import->file_name).$columns;
    }

    /** What was said of the logs of an upload's maker; null where nobody said anything. */
    public static function of(Import $import): ?Reading
    {
        $known = self::query()->where('school_id', $import->school_id)->where('maker', self::makerOf($import))->first();

        return $known === null ? null : Reading::from($known->reading);
    }
}
