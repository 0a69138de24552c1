<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The name of the part that takes a typical one's place. */
final class HaveOneRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'name' => ['required', 'string', 'max:120']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Write what it is called, in up to 120 signs.'];
    }
}
