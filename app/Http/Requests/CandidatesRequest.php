<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;

/** Which parts to weigh for which place. */
final class CandidatesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'role' => ['required', Rule::enum(Role::class)],
            'swap' => ['nullable', 'string', 'max:80'],
            'q' => ['nullable', 'string', 'max:200'],
            'typical' => ['nullable', 'boolean'],
            'only' => ['nullable', 'integer'],
            'days' => ['nullable', 'boolean'],
        ];
    }
}
