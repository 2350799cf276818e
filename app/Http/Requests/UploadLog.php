<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use LogicException;

/** A flight log, and the shot that it was a pass of. */
final class UploadLog extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'log' => ['required', 'file', 'max:'.intdiv(config()->integer('larkspur.largest_log'), 1024)],
            'shot_id' => ['sometimes', 'nullable', 'integer'],
            // What a file’s own date may be: no older than such craft, and within what the database holds.
            'flown_at' => [
                'bail', 'sometimes', 'nullable', 'string', 'regex:/^\d{4}-\d\d-\d\d([T ]|$)/', 'date', 'after:1990-01-01',
                'before:2038-01-01',
            ],
        ];
    }

    public function log(): UploadedFile
    {
        $file = $this->file('log');
        if (! $file instanceof UploadedFile) {
            throw new LogicException('Asked for before it was validated.');
        }

        return $file;
    }

    /** As the sender calls it, in UTF-8: what is not is shown as a question mark. */
    public function fileName(): string
    {
        return Str::limit(mb_scrub(basename($this->log()->getClientOriginalName())), 200, '');
    }
}
