<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A new account. Whether the address has one already is nobody's business here. */
final class RegisterRequest extends EmailRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', new GoodPassword],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Write the name you want to be called by.',
            'email.*' => 'Write an e-mail address, such as name@example.org.',
            'password.required' => 'Write a password of 12 characters or more.',
        ];
    }
}
