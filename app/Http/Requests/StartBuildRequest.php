<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\StartBuild;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A new build: blank, or from a demo. */
final class StartBuildRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required_without:demo', 'nullable', 'string', 'max:120'],
            'demo' => ['nullable', Rule::in(StartBuild::DEMOS)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Give the build a name of up to 120 characters.'];
    }
}
