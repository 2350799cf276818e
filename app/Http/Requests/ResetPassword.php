<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\GoodPassword;
use Illuminate\Foundation\Http\FormRequest;

/** A new password, with the token of the mail. */
final class ResetPassword extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:255'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => [
                'required', 'string', new GoodPassword(is_string($this->input('email')) ? [explode('@', $this->input('email'))[0]] : []),
            ],
        ];
    }
}
