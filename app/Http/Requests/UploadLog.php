<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
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
            'flown_at' => ['sometimes', 'nullable', 'date'],
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
}
