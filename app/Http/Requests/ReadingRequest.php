<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\ReadingKind;
use PocketPlot\Build\Reading\Stopped;

/** Something measured on the bench, figures as they are typed. */
final class ReadingRequest extends EditRequest
{
    private const UNITS = [
        'volts' => 'V',
        'milliamps' => 'mA',
        'hours' => 'h',
        'celsius' => '°C',
        'airC' => '°C',
        'value' => 'mm',
        'brightness' => 'share',
        'fromShare' => 'share',
        'toShare' => 'share',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'kind' => ['required', Rule::enum(ReadingKind::class)],
            'line' => ['required', 'string', 'max:80'],
            'takenOn' => ['nullable', 'string', TypedInput::day()],
            'instrument' => ['nullable', 'string', 'max:120'],
            'conditions' => ['nullable', 'string', 'max:400'],
            'note' => ['nullable', 'string', 'max:2000'],
            'simulated' => ['nullable', 'boolean'],
            'steps' => ['nullable', 'array', 'max:400'],
            'steps.*.volts' => ['required', 'numeric', 'min:0', 'max:500'],
            'steps.*.lit' => ['required', 'boolean'],
            'steps.*.milliamps' => ['nullable', 'numeric', 'min:0', 'max:100000'],
            'signal' => ['nullable', Rule::in(['yes', 'no', 'unknown'])],
            'state' => ['nullable', Rule::enum(MeteredState::class)],
            'profile' => ['nullable', 'string', 'max:60'],
            'stopped' => ['nullable', Rule::enum(Stopped::class)],
            'figure' => ['nullable', Rule::in(['lengthMm', 'widthMm', 'heightMm'])],
            'log' => ['nullable', 'array', 'max:2000'],
            'log.*' => ['array', 'size:3'],
            'log.*.*' => ['numeric'],
            'photo' => ['nullable', 'string', 'max:8000000'],
            ...array_fill_keys(array_keys(self::UNITS), ['nullable', 'numeric']),
        ];
    }

    /** @return array<string, mixed> as the file format writes it */
    public function reading(): array
    {
        $reading = [];
        foreach ((array) $this->validated() as $key => $value) {
            if ($value === null || in_array($key, ['version', 'photo'], true)) {
                continue;
            }
            $reading[(string) $key] = isset(self::UNITS[$key]) && is_numeric($value) ? (float) $value : $value;
        }
        if (is_array($steps = $reading['steps'] ?? null)) {
            $reading['steps'] = array_map(static fn (mixed $step): array => is_array($step) ? [
                'volts' => is_numeric($step['volts'] ?? null) ? (float) $step['volts'] : 0.0,
                'lit' => filter_var($step['lit'] ?? false, FILTER_VALIDATE_BOOLEAN),
                ...(is_numeric($step['milliamps'] ?? null) ? ['milliamps' => (float) $step['milliamps']] : []),
            ] : [], array_values($steps));
        }
        if (is_array($log = $reading['log'] ?? null)) {
            $reading['log'] = array_map(
                static fn (mixed $row): array => array_map(
                    static fn (mixed $cell): float => is_numeric($cell) ? (float) $cell : 0.0,
                    is_array($row) ? array_values($row) : [],
                ),
                array_values($log),
            );
        }

        return $reading;
    }

    protected function prepareForValidation(): void
    {
        $typed = [];
        foreach (self::UNITS as $field => $unit) {
            $value = $this->input($field);
            $typed[$field] = $unit === 'share' ? TypedInput::percent($field, $value) : TypedInput::figure($field, $value, $unit);
        }
        $steps = $this->input('steps');
        if (is_array($steps)) {
            foreach ($steps as $index => $step) {
                if (is_array($step)) {
                    $steps[$index] = [
                        ...$step,
                        'volts' => TypedInput::figure("steps.{$index}.volts", $step['volts'] ?? null, 'V'),
                        'milliamps' => TypedInput::figure("steps.{$index}.milliamps", $step['milliamps'] ?? null, 'mA'),
                    ];
                }
            }
            $typed['steps'] = $steps;
        }
        $this->merge(array_filter($typed, static fn (mixed $value): bool => $value !== null));
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose what was measured.', 'line.*' => 'Choose the part that was measured.',
            'steps.*.volts.*' => 'Write the volts of this step.', 'log.*' => 'This log has too many rows, or rows without three figures; read it in as a file.',
        ];
    }
}
