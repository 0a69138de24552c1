<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A new password, with the key from the letter. */
final class NewPasswordRequest extends EmailRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'token' => ['required', 'string', 'max:200'],
            'password' => ['required', new GoodPassword],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...parent::messages(), 'password.required' => 'Write a password of 12 characters or more.', 'token.*' => 'Open the whole link of the letter.'];
    }
}
