<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Part\Role;

/** The confirmed rows of a spreadsheet; for a build with the version of the page. */
final class TakeSheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => [$this->route('build') === null ? 'nullable' : 'required', 'integer', 'min:1'],
            'rows' => ['required', 'array', 'min:1', 'max:500'],
            'rows.*.name' => ['required', 'string', 'max:120'],
            'rows.*.role' => ['nullable', Rule::enum(Role::class)],
            'rows.*.part' => ['nullable', 'integer'],
            'rows.*.quantity' => ['nullable', 'integer', 'min:1', 'max:10000'],
            'rows.*.price' => ['nullable', 'array:amount,currency'],
            'rows.*.price.amount' => ['required_with:rows.*.price', 'string', 'regex:/^\d{1,9}(\.\d{1,4})?\z/'],
            // Without one it is the money of the build.
            'rows.*.price.currency' => ['present_with:rows.*.price', 'nullable', 'string', 'regex:/^([A-Z]{3})?\z/'],
            'rows.*.vendor' => ['nullable', 'string', 'max:120'],
            'rows.*.maker' => ['nullable', 'string', 'max:80'],
            'rows.*.link' => ['nullable', 'string', 'max:500', 'regex:~^https?://[^\s"<>]+\z~'],
            'rows.*.state' => ['nullable', Rule::enum(SupplyState::class)],
            'rows.*.origin' => ['nullable', Rule::enum(Origin::class)],
            'rows.*.note' => ['nullable', 'string', 'max:4000'],
            'rows.*.text' => ['nullable', 'string', 'max:20000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'rows.required' => 'Tick at least one row.',
            'rows.max' => 'Take at most 500 rows at once.',
            'rows.*.name.*' => 'Give each part a name of up to 120 characters.',
            'rows.*.role.*' => 'Choose what the part is for.',
            'rows.*.quantity.*' => 'Write a whole number from 1 to 10000.',
            'rows.*.price.*' => 'Write the price in digits with a point, and its currency as three letters, such as 12.40 EUR.',
            'rows.*.link.*' => 'A link begins with https:// or http://.',
        ];
    }
}
