<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Arr;
use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;
use PocketPlot\Sourcing\Condition;

/** Something in the drawer: of a part of the library, or by its name. */
final class DrawerPieceRequest extends FormRequest
{
    public const ORIGINS = ['bought', 'salvaged', 'gift', 'sample'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => [$this->isMethod('PUT') ? 'required' : 'nullable', 'integer', 'min:1'],
            'part' => ['nullable', 'integer', 'min:1'],
            'name' => [...($this->isMethod('PUT') ? [] : ['required_without:part']), 'nullable', 'string', 'max:120'],
            'role' => ['nullable', Rule::enum(Role::class)],
            'quantity' => ['required', 'integer', 'min:1', 'max:10000'],
            'place' => ['nullable', 'string', 'max:120'],
            'condition' => ['nullable', Rule::enum(Condition::class)],
            'origin' => ['nullable', Rule::in(self::ORIGINS)],
            'cameFrom' => ['nullable', 'string', 'max:200'],
            'value' => ['nullable', 'array:amount,currency'],
            'value.amount' => ['required_with:value', 'string', 'regex:/^\d{1,9}(\.\d{1,2})?\z/'],
            'value.currency' => ['required_with:value', 'string', 'regex:/^[A-Z]{3}\z/'],
            'note' => ['nullable', 'string', 'max:1000'],
            'photo' => ['nullable', 'string', 'max:8200000'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $user = $this->user();
        $home = $user instanceof User ? $user->home_currency : 'EUR';
        $value = $this->input('value');
        if (is_string($value)) {
            $this->merge(['value' => trim($value) === '' ? null : TypedInput::money('value', $value, $home)]);
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give it a name of up to 120 characters.',
            'photo.*' => 'Choose a photograph of at most 6 MB, as JPEG, PNG or WebP.',
            'quantity.*' => 'Write how many there are, from 1 to 10000.',
            'value.amount.*' => 'Write the value in digits with at most two decimals, such as 12.40.',
            'value.currency.*' => 'Write the currency as three letters, such as EUR.',
        ];
    }

    /** @return array{quantity: int, place: string, condition: string, origin: string, came_from: string, value_amount: ?string, value_currency: ?string, note: string} by column */
    public function columns(): array
    {
        $text = fn (string $field, string $default = ''): string => $this->filled($field) ? $this->string($field)->toString() : $default;
        $value = Arr::wrap($this->input('value'));

        return [
            'quantity' => $this->integer('quantity'),
            'place' => $text('place'),
            'condition' => $text('condition', Condition::New->value),
            'origin' => $text('origin', self::ORIGINS[0]),
            'came_from' => $text('cameFrom'),
            'value_amount' => is_string($value['amount'] ?? null) ? $value['amount'] : null,
            'value_currency' => is_string($value['currency'] ?? null) ? $value['currency'] : null,
            'note' => $text('note'),
        ];
    }
}
