<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What foreign money is worth; left out, the rate service is asked. */
final class RatesRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'worth' => ['sometimes', 'array', 'max:50'],
            'worth.*' => ['array:currency,worth'],
            'worth.*.currency' => ['required', 'string', 'regex:/^[A-Z]{3}\z/'],
            'worth.*.worth' => ['required', 'string', 'regex:/^\d{1,9}(\.\d{1,8})?\z/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['worth.*.worth.*' => 'Write what one is worth in digits, such as 1.17.', 'worth.*.currency.*' => 'Write the currency as three letters, such as GBP.'];
    }

    protected function prepareForValidation(): void
    {
        $given = $this->input('worth');
        if (is_array($given)) {
            $this->merge(['worth' => array_map(
                static fn (mixed $one): mixed => is_array($one) && is_string($one['worth'] ?? null)
                    ? [...$one, 'worth' => str_replace(',', '.', trim($one['worth']))]
                    : $one,
                $given,
            )]);
        }
    }

    /** @return array<string, string>|null by currency; null when none was written */
    public function worth(): ?array
    {
        if (! $this->has('worth')) {
            return null;
        }
        $worth = [];
        foreach ($this->array('worth') as $one) {
            if (is_array($one) && is_string($one['currency'] ?? null) && is_string($one['worth'] ?? null)) {
                $worth[$one['currency']] = $one['worth'];
            }
        }

        return $worth;
    }
}
