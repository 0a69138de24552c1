<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What was measured of one part, as typed. */
final class MeasureRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'figure' => ['required', 'string', 'max:120'], 'typed' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['typed.*' => 'Write what you measured, with its unit, such as 8.2 to 14 V.'];
    }
}
