<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What the pack should do, or where it should go. */
final class SizingRequest extends PowerRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'hours' => ['required', 'numeric', 'gt:0', 'max:1000'], 'cm3' => ['nullable', 'numeric', 'gt:0', 'max:100000']];
    }

    public function hours(): float
    {
        return is_numeric($value = $this->validated('hours')) ? (float) $value : 1.0;
    }

    public function cm3(): ?float
    {
        return is_numeric($value = $this->validated('cm3')) ? (float) $value : null;
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['hours' => TypedInput::figure('hours', $this->input('hours'), 'h')]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...parent::messages(),
            'hours.*' => 'Write hours of more than nought, such as 4 h 30 min.',
            'cm3.*' => 'Write cubic centimetres of more than nought.',
        ];
    }
}
