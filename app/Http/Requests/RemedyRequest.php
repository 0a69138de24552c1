<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Part\Role;

/** A remedy as it was offered: a part for a line or a role, joins settled or taken back. */
final class RemedyRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'part' => ['nullable', 'integer', 'required_without_all:settles,frees,brightness,hours'],
            'line' => ['nullable', 'string', 'max:80'],
            'role' => ['nullable', Rule::enum(Role::class)],
            ...$this->join('settles', ['from', 'to', 'output', 'input', 'through']),
            'settles.gaugeAwg' => ['nullable', 'numeric', 'min:0', 'max:50'],
            'settles.lengthMm' => ['nullable', 'numeric', 'min:0', 'max:100000'],
            ...$this->join('frees', ['to', 'input']),
            'brightness' => ['nullable', 'numeric', 'min:0', 'max:1'],
            'hours' => ['nullable', 'numeric', 'min:0', 'max:1000'],
            'with' => ['nullable', 'array', 'max:10'],
            'with.*' => ['integer'],
        ];
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed>
     */
    private function join(string $name, array $keys): array
    {
        $rules = [$name => ['nullable', 'array']];
        foreach ($keys as $key) {
            // Names of outputs and inputs may be empty: the only one there is.
            $rules["{$name}.{$key}"] = [in_array($key, ['from', 'to'], true) ? "required_with:{$name}" : 'nullable', 'string', 'max:80'];
        }

        return $rules;
    }
}
