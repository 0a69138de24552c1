<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The text of a build file. */
final class ImportRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string'],
            'name' => ['nullable', 'string', 'max:120'],
            'overwrite' => ['nullable'],
            'overwrite.*' => ['string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.*' => 'Choose a file that ends in .pocketplot.json.'];
    }

    /** @return list<string>|bool the keys of parts that are written over; true for all that are known */
    public function overwrite(): array|bool
    {
        $given = $this->input('overwrite');

        return is_array($given) ? array_values(array_filter($given, is_string(...))) : $this->boolean('overwrite');
    }
}
