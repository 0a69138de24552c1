<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Build\JoinKind;

/** One join, settled or taken back. */
final class JoinRequest extends EditRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'kind' => ['required', Rule::enum(JoinKind::class)],
            'from' => [$this->isMethod('DELETE') ? 'nullable' : 'required', 'string', 'max:80'],
            'to' => ['required', 'string', 'max:80'],
            'output' => ['nullable', 'string', 'max:60'],
            'input' => ['nullable', 'string', 'max:60'],
            'through' => ['nullable', 'string', 'max:80'],
            'gaugeAwg' => ['nullable', 'numeric', 'min:0', 'max:50'],
            'lengthMm' => ['nullable', 'numeric', 'min:0', 'max:100000'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge([
            'gaugeAwg' => TypedInput::figure('gaugeAwg', $this->input('gaugeAwg'), 'AWG'),
            'lengthMm' => TypedInput::figure('lengthMm', $this->input('lengthMm'), 'mm'),
        ]);
    }
}
