<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A look at the power: in which way of playing, at which temperature. */
class PowerRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['profile' => ['nullable', 'integer', 'min:0', 'max:20'], 'celsius' => ['nullable', 'numeric', 'min:-40', 'max:60']];
    }

    public function celsius(): ?float
    {
        return is_numeric($value = $this->validated('celsius')) ? (float) $value : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['celsius.*' => 'Write degrees between -40 and 60.'];
    }
}
