<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Larkspur\Fields;
use Larkspur\Move\Handle\Pull;

/** A shot as the page has it, and what a hand did to one of its handles since. */
final class PlanDrag extends PlanDraft
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'pull' => ['sometimes', 'array'], 'pull.handle' => ['required_with:pull', 'string', 'max:60']];
    }

    public function pull(): ?Pull
    {
        return $this->has('pull') ? Pull::read(Fields::of($this->array('pull'), 'pull')) : null;
    }
}
