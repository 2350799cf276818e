<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Training\Next\Circumstances;

/** Whose progress is asked for, and where they are today. */
final class ProgressWanted extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operator' => ['sometimes', 'integer'], 'place' => ['sometimes', 'in:'.implode(',', Circumstances::PLACES)],
            'gust_mps' => ['sometimes', 'numeric', 'between:0,60'], 'battery_min' => ['sometimes', 'numeric', 'between:0,600'],
        ];
    }

    /** Themselves; for those who see the class, whom they ask for. Others are not found. */
    public function operator(): User
    {
        $user = $this->user();
        abort_unless($user instanceof User, 401);
        $id = $this->integer('operator', $user->id);

        return $id === $user->id ? $user : User::query()->whereKey($user->seesClass() ? $id : 0)->firstOrFail();
    }

    /** @return 'desk'|'hall'|'field' */
    public function place(): string
    {
        return match ($this->string('place')->toString()) {
            'desk' => 'desk',
            'hall' => 'hall',
            default => 'field',
        };
    }
}
