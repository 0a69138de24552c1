<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Day;
use PocketPlot\Sourcing\Wishes;

/** Under which conditions the shopping is to be planned. */
final class ShoppingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'needBy' => ['nullable', 'string', TypedInput::day()],
            'avoid' => ['nullable', 'array', 'max:60'],
            'avoid.*' => ['string', 'max:120'],
            'prefer' => ['nullable', 'array', 'max:60'],
            'prefer.*' => ['string', 'max:120'],
            'preferUpTo' => ['nullable', 'string', 'regex:/^\d{1,6}([.,]\d{1,2})?\z/'],
            'used' => ['nullable', 'boolean'],
            'onlyNew' => ['nullable', 'array', 'max:20'],
            'onlyNew.*' => [Rule::enum(Role::class)],
            'mostParcels' => ['nullable', 'integer', 'min:1', 'max:60'],
            'spares' => ['nullable', 'array', 'max:200'],
            'spares.*' => ['integer', 'min:0', 'max:1000'],
            'choose' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['preferUpTo.*' => 'Write how much it is worth to you in digits, such as 2.50.', 'mostParcels.*' => 'Write a whole number of parcels, from 1 to 60.', 'spares.*' => 'Write whole numbers of spare pieces, up to 1000.'];
    }

    public function wishes(): Wishes
    {
        $needBy = $this->string('needBy')->toString();

        return new Wishes(
            $needBy === '' ? null : Day::of($needBy),
            array_values(array_filter($this->array('avoid'), is_string(...))),
            $this->boolean('used', true),
            $this->filled('mostParcels') ? $this->integer('mostParcels') : null,
            array_values(array_filter($this->array('prefer'), is_string(...))),
            (int) round((float) str_replace(',', '.', $this->string('preferUpTo')->toString()) * 100),
        );
    }

    /** @return array<string, int> by line */
    public function spares(): array
    {
        $spares = [];
        foreach ($this->array('spares') as $line => $count) {
            $spares[(string) $line] = is_numeric($count) ? (int) $count : 0;
        }

        return $spares;
    }

    /** @return list<Role> */
    public function onlyNew(): array
    {
        return array_values(array_filter(array_map(
            static fn (mixed $role): ?Role => is_string($role) ? Role::tryFrom($role) : null, $this->array('onlyNew'),
        )));
    }
}
