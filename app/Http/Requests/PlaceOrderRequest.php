<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What is ordered at one vendor. */
final class PlaceOrderRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'vendor' => ['required', 'string', 'max:120'],
            'items' => ['required', 'array', 'list', 'min:1', 'max:200'],
            'items.*' => ['array'],
            'items.*.line' => ['required', 'string', 'max:80'],
            'items.*.offer' => ['required', 'string', 'max:200'],
            'items.*.pieces' => ['required', 'integer', 'min:1', 'max:10000'],
            'why' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['items.*' => 'Choose what is ordered.', 'items.*.pieces.*' => 'Write a whole number of pieces, from 1 to 10000.'];
    }

    /** @return list<array{line: string, offer: string, pieces: int}> */
    public function items(): array
    {
        $items = [];
        foreach ($this->array('items') as $item) {
            if (is_array($item) && is_string($item['line'] ?? null) && is_string($item['offer'] ?? null) && is_numeric($item['pieces'] ?? null)) {
                $items[] = ['line' => $item['line'], 'offer' => $item['offer'], 'pieces' => (int) $item['pieces']];
            }
        }

        return $items;
    }
}
