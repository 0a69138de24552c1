<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A step, done or not done. */
final class TickRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'step' => ['required', 'string', 'max:160'],
            'done' => ['required', 'boolean'],
        ];
    }
}
