<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Another part from the library for a line. */
final class SwapLineRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'part' => ['required', 'integer'],
        ];
    }
}
