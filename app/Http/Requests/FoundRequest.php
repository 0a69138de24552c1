<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A find in a shop that was bought. */
final class FoundRequest extends FindRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:1'], 'photo' => ['nullable', 'string', 'max:8200000'], ...parent::rules()];
    }
}
