<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Sign-in. */
final class SignInRequest extends EmailRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'password' => ['required', 'string', 'max:200'], 'remember' => ['nullable', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...parent::messages(), 'password.*' => 'Write your password.'];
    }
}
