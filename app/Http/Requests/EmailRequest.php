<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An address, on its own or with more. */
class EmailRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:190']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.*' => 'Write the address of your account.'];
    }

    /** In small letters, as it is stored. */
    public function email(): string
    {
        return self::small($this->input('email'));
    }

    /** An address as it is stored, whatever was sent for it. */
    public static function small(mixed $email): string
    {
        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }
}
