<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\BuildRecord;
use Illuminate\Foundation\Http\FormRequest;

/** A thing seen in a shop, for a place of a build. */
class FindRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => ['required', 'string', 'max:80'],
            'text' => ['required', 'string', 'max:20000'],
            'price' => ['nullable', 'array:amount,currency'],
            'price.amount' => ['required_with:price', 'string', 'regex:/^\d{1,9}(\.\d{1,2})?\z/'],
            'price.currency' => ['required_with:price', 'string', 'regex:/^[A-Z]{3}\z/'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $price = $this->input('price');
        $build = $this->route('build');
        $home = $build instanceof BuildRecord && is_string($build->brief['currency'] ?? null) ? $build->brief['currency'] : 'EUR';
        if (is_string($price)) {
            $this->merge(['price' => trim($price) === '' ? null : TypedInput::money('price', $price, $home)]);
        }
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    /** @return array{amount: string, currency: string}|null */
    public function price(): ?array
    {
        $price = $this->input('price');

        return is_array($price) && is_string($price['amount'] ?? null) && is_string($price['currency'] ?? null)
            ? ['amount' => $price['amount'], 'currency' => $price['currency']]
            : null;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'line.*' => 'Choose what it would be for.',
            'text.*' => 'Type what it says on it: a name and whatever figures there are.',
            'price.amount.*' => 'Write the price in digits, such as 12.40 or 9 GBP.',
            'price.currency.*' => 'Write the currency as three letters, such as EUR.',
        ];
    }
}
