<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A photograph or a file of a part, as a data address. */
final class PartFileRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:255', 'regex:/\.\w{1,8}\z/'], 'data' => ['required', 'string', 'max:8200000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Choose a file whose name tells by its ending what it is, such as "pins.pdf".',
            'data.*' => 'Choose a photograph of at most 6 MB, or a file of at most 5 MB.',
        ];
    }
}
