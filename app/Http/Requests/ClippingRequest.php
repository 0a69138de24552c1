<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;

/** A pasted text to be read, and which of its finds go into which part. */
final class ClippingRequest extends FormRequest
{
    /** Bytes of a text; much more is no text about a part. */
    public const MOST_BYTES = 200_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', static function (string $field, mixed $value, callable $fail): void {
                if (is_string($value) && strlen($value) > self::MOST_BYTES) {
                    $fail(sprintf('The text has %.1f MB; up to %.1f MB are read. Paste the piece about this part.', strlen($value) / 1e6, self::MOST_BYTES / 1e6));
                }
            }],
            'role' => ['nullable', Rule::enum(Role::class)],
            'part' => ['nullable', 'array', 'max:60'],
            'currency' => ['nullable', 'string', 'regex:/^[A-Z]{3}\z/'],
            'take' => ['nullable', 'array', 'max:500'],
            'take.*' => ['integer', 'min:0'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'Paste a text first.', 'role.*' => 'Choose what the part is for.', 'currency.*' => 'Write the currency as three letters, such as EUR.'];
    }

    /** @return array<string, mixed> */
    public function part(): array
    {
        $part = [];
        foreach ((array) $this->input('part', []) as $key => $value) {
            $part[(string) $key] = $value;
        }

        return $part;
    }

    /** @return list<int> */
    public function take(): array
    {
        return array_values(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : -1, (array) $this->input('take', [])));
    }
}
