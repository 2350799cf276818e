<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ColumnMapping;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Telemetry\ColumnMapping as Mapping;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;

/** A short log that is measured and not kept, or trials that were written down. */
final class StepTestRequest extends FormRequest
{
    use CountsFirst;

    /** Ten minutes at 50 Hz with every column are some 5 MB. */
    private const LARGEST_KB = 8 * 1024;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'log' => ['required_without:trials', 'file', 'max:'.self::LARGEST_KB],
            'mode' => ['sometimes', 'in:slow,standard,fast'],
            'rig' => ['sometimes', 'integer', 'min:1'],
            'trials' => ['sometimes', 'array', 'max:40'],
        ];
    }

    public function log(): FlightLog
    {
        $file = $this->file('log');
        if (! $file instanceof UploadedFile || ($stream = fopen($file->getPathname(), 'rb')) === false) {
            throw new Refusal(Fact::of('import.not-arrived'), 'log', Fact::of('expected.file-sent-again'));
        }
        try {
            return Formats::reader($file->getClientOriginalName())->read($stream);
        } catch (ColumnsUnknown $unknown) {
            // Columns that the school has confirmed once are known here too.
            $known = ColumnMapping::query()->where('fingerprint', Mapping::fingerprint($unknown->headers))->first() ?? throw $unknown;
            rewind($stream);

            return Formats::reader($file->getClientOriginalName(), Mapping::read(Fields::of($known->mapping)))->read($stream);
        } finally {
            fclose($stream);
        }
    }

    /** @return list<array{float, float}> */
    public function trials(): array
    {
        // A form sends its numbers as text.
        $trials = array_map(
            static fn (mixed $trial): mixed => is_array($trial) ? array_map(
                static fn (mixed $value): mixed => is_numeric($value) ? (float) $value : $value, array_values($trial),
            ) : $trial,
            array_values($this->array('trials')),
        );

        return Fields::of(['trials' => $trials])->pairs('trials');
    }

    protected function most(): array
    {
        return ['trials' => 40];
    }
}
