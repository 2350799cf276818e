<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\ValidationException;

/** Counts long lists before anything of them is looked at: twenty thousand bad entries are refused as quickly as one. */
trait CountsFirst
{
    /** @return array<string, int> the most that a list may have, by its place */
    abstract protected function most(): array;

    protected function prepareForValidation(): void
    {
        foreach ($this->most() as $place => $most) {
            $list = $this->input($place);
            if (is_array($list) && count($list) > $most) {
                throw ValidationException::withMessages([$place => 'This has '.count($list)." of what there may be $most of at most."]);
            }
        }
    }
}
