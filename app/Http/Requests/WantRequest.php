<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The finding whose need goes on the list. */
final class WantRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'finding' => ['required', 'string', 'max:300']];
    }
}
