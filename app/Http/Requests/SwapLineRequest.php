<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Another part from the library for a line. */
final class SwapLineRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'part' => ['required', 'integer'],
            'quantity' => ['nullable', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['quantity.*' => 'Write a whole number from 1 to 10000.'];
    }
}
