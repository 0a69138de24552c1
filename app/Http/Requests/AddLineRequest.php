<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;

/** A part from the library for a role, on its own or beside another line as a candidate. */
final class AddLineRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'part' => ['required', 'integer'],
            'role' => ['required', Rule::enum(Role::class)],
            'beside' => ['nullable', 'string', 'max:80'],
        ];
    }
}
