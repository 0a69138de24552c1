<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A new account. */
final class RegisterRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Write the name you want to be called by.',
            'email.unique' => 'There is an account with this address already. Sign in, or ask for a new password.',
            'email.*' => 'Write an e-mail address, such as name@example.org.',
            'password.*' => 'Write a password of 10 characters or more.',
        ];
    }
}
