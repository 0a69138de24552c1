<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which other part of one's own is the same, and what is taken from it. */
final class MergeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:1'],
            'other' => ['required', 'integer', 'min:1'],
            'otherVersion' => ['required', 'integer', 'min:1'],
            'take' => ['nullable', 'array', 'max:400'],
            'take.*' => ['integer', 'in:0,1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['other.*' => 'Choose which part of your own is the same one.', 'take.*' => 'Say of each difference which of the two is taken, 0 or 1.'];
    }

    /** @return array<string, int> */
    public function take(): array
    {
        $take = [];
        foreach ($this->array('take') as $key => $one) {
            $take[(string) $key] = is_numeric($one) ? (int) $one : 0;
        }

        return $take;
    }
}
