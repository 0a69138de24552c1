<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\BuildRecord;
use Illuminate\Validation\Rule;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** Quantity, sourcing and note of a line; only what is given changes. */
final class ChangeLineRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'quantity' => ['sometimes', 'integer', 'min:1', 'max:10000'],
            'state' => ['sometimes', Rule::enum(SupplyState::class)],
            'origin' => ['sometimes', Rule::enum(Origin::class)],
            'price' => ['sometimes', 'nullable', 'array:amount,currency'],
            'price.amount' => ['required_with:price', 'string', 'regex:/^\d{1,9}(\.\d{1,4})?\z/'],
            'price.currency' => ['required_with:price', 'string', 'regex:/^[A-Z]{3}\z/'],
            'vendor' => ['sometimes', 'nullable', 'string', 'max:120'],
            'expectedOn' => ['sometimes', 'nullable', 'string', TypedInput::day()],
            'note' => ['sometimes', 'nullable', 'string', 'max:4000'],
            'place' => ['sometimes', 'nullable', 'string', 'max:80'],
        ];
    }

    /** A price may be written as text: "18,50" or "18.50 GBP". */
    protected function prepareForValidation(): void
    {
        $price = $this->input('price');
        if (! is_string($price)) {
            return;
        }
        $build = $this->route('build');
        $currency = $build instanceof BuildRecord && is_string($build->brief['currency'] ?? null) ? $build->brief['currency'] : 'EUR';
        $this->merge(['price' => trim($price) === '' ? null : TypedInput::money('price', $price, $currency)]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'quantity.*' => 'Write a whole number from 1 to 10000.',
            'price.amount.*' => 'Write the price in digits with a point, such as 12.40.',
            'price.currency.*' => 'Write the currency as three letters, such as EUR.',
            'note.max' => 'A note holds up to 4000 characters.',
            'vendor.max' => 'A vendor\'s name holds up to 120 characters.',
        ];
    }
}
