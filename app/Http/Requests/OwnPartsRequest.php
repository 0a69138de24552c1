<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;

/** Parts of one's own for a build, known by a name, or by a text of which some finds are confirmed. */
final class OwnPartsRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'parts' => ['required', 'array', 'min:1', 'max:100'],
            'parts.*.name' => ['required', 'string', 'max:120'],
            'parts.*.role' => ['nullable', Rule::enum(Role::class)],
            'parts.*.text' => ['nullable', 'string', 'max:'.ClippingRequest::MOST_BYTES],
            'parts.*.take' => ['nullable', 'array', 'max:500'],
            'parts.*.take.*' => ['integer', 'min:0'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...parent::messages(),
            'parts.required' => 'Write the name of a part first.',
            'parts.max' => 'Add at most a hundred parts at once.',
            'parts.*.name.*' => 'Give each part a name of up to 120 characters.',
            'parts.*.role.*' => 'Choose what the part is for.',
        ];
    }
}
