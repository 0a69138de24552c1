<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Margins;

/** Margins by key; null puts one back to its default. */
final class MarginsRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'margins' => ['required', 'array', 'max:60'], 'margins.*' => ['nullable', 'numeric', 'min:0', 'max:100000']];
    }

    protected function prepareForValidation(): void
    {
        $margins = $this->input('margins');
        if (! is_array($margins)) {
            return;
        }
        foreach ($margins as $key => $value) {
            if (! isset(Margins::DEFAULTS[$key])) {
                throw ValidationException::withMessages(["margins.{$key}" => 'There is no such margin.']);
            }
            $margins[$key] = TypedInput::figure("margins.{$key}", $value, Margins::DEFAULTS[$key][1]);
        }
        $this->merge(['margins' => $margins]);
    }

    /** @return array<string, ?float> */
    public function margins(): array
    {
        $margins = [];
        foreach (is_array($given = $this->validated('margins')) ? $given : [] as $key => $value) {
            $margins[(string) $key] = is_numeric($value) ? (float) $value : null;
        }

        return $margins;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['margins.*' => 'Write a number of nought or more.'];
    }
}
