<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Part\Role;

/** What came out of a donor. */
final class BreakUpRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'parts' => ['required', 'array', 'list', 'min:1', 'max:60'],
            'parts.*' => ['array'],
            'parts.*.name' => ['required', 'string', 'max:120'],
            'parts.*.role' => ['nullable', Rule::enum(Role::class)],
            'parts.*.quantity' => ['nullable', 'integer', 'min:1', 'max:1000'],
            'parts.*.broken' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['parts.*' => 'Write what came out of it, one thing a line.', 'parts.*.name.*' => 'Give it a name of up to 120 characters.'];
    }

    /** @return list<array{name: string, role: string, quantity: int, condition: string}> what broke on the way is not put in */
    public function whole(): array
    {
        $whole = [];
        foreach ($this->array('parts') as $part) {
            $part = is_array($part) ? $part : [];
            $name = is_string($part['name'] ?? null) ? $part['name'] : '';
            if (($part['broken'] ?? false) !== true) {
                $role = is_string($part['role'] ?? null) ? $part['role'] : (RoleGuess::of($name) ?? Role::Material)->value;
                $quantity = is_numeric($part['quantity'] ?? null) ? (int) $part['quantity'] : 1;
                $whole[] = ['name' => $name, 'role' => $role, 'quantity' => $quantity, 'condition' => 'used-untested'];
            }
        }

        return $whole;
    }
}
