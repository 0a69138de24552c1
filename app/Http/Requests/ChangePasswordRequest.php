<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

/** Another password for who is signed in. */
final class ChangePasswordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'current' => ['required', 'string', 'max:200'],
            'password' => ['required', 'different:current', new GoodPassword($user instanceof User ? [$user->name, $user->email] : [])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.*' => 'Write the password that holds now.',
            'password.required' => 'Write a password of 12 characters or more.',
            'password.different' => 'This is the password that holds now; write another.',
        ];
    }
}
