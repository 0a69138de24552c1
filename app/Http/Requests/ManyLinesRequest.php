<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** Several lines, and the one thing that is done with them. */
final class ManyLinesRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'lines' => ['required', 'array', 'min:1', 'max:1000'],
            'lines.*' => ['string', 'max:80', 'distinct'],
            'then' => ['required', Rule::in(['change', 'remove', 'restore'])],
            'state' => ['sometimes', Rule::enum(SupplyState::class)],
            'origin' => ['sometimes', Rule::enum(Origin::class)],
            'vendor' => ['sometimes', 'nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.*' => 'Choose at least one line.', 'vendor.max' => 'A vendor\'s name holds up to 120 characters.'];
    }
}
