<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Pieces of the drawer for a line of a build. */
final class ClaimRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'line' => ['required', 'string', 'max:80'],
            'piece' => ['required', 'integer', 'min:1'],
            'quantity' => ['required', 'integer', 'min:1', 'max:10000'],
            'atValue' => ['nullable', 'boolean'],
        ];
    }
}
