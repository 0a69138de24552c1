<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The whole brief; a target given as null is taken out. */
final class ChangeBriefRequest extends EditRequest
{
    private const NUMBERS = ['runTimeHours', 'largestMassG', 'gamesGb', 'roomC'];

    private const FLAGS = ['playWhileCharging', 'rights'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'name' => ['required', 'string', 'max:120'],
            'brief' => ['required', 'array'],
            'brief.purpose' => ['nullable', 'string', 'max:4000'],
            'brief.runTimeHours' => ['nullable', 'numeric', 'min:0', 'max:1000'],
            'brief.budget' => ['nullable', 'array:amount,currency'],
            'brief.budget.amount' => ['required_with:brief.budget', 'string', 'regex:/^\d{1,9}(\.\d{1,4})?\z/'],
            'brief.budget.currency' => ['required_with:brief.budget', 'string', 'regex:/^[A-Z]{3}\z/'],
            'brief.currency' => ['required', 'string', 'regex:/^[A-Z]{3}\z/'],
            'brief.largestMm' => ['nullable', 'array:lengthMm,widthMm,heightMm'],
            'brief.largestMm.lengthMm' => ['required_with:brief.largestMm', 'numeric', 'min:1', 'max:5000'],
            'brief.largestMm.widthMm' => ['required_with:brief.largestMm', 'numeric', 'min:1', 'max:5000'],
            'brief.largestMm.heightMm' => ['required_with:brief.largestMm', 'numeric', 'min:1', 'max:5000'],
            'brief.largestMassG' => ['nullable', 'numeric', 'min:1', 'max:100000'],
            'brief.gamesGb' => ['nullable', 'numeric', 'min:0', 'max:100000'],
            'brief.eveningMinutes' => ['nullable', 'integer', 'min:10', 'max:720'],
            'brief.games' => ['present', 'array', 'max:20'],
            'brief.games.*.class' => ['required', 'string', 'max:60'],
            'brief.games.*.players' => ['required', 'integer', 'min:1', 'max:8'],
            'brief.games.*.dPads' => ['required', 'integer', 'min:0', 'max:1000'],
            'brief.games.*.buttons' => ['required', 'integer', 'min:0', 'max:1000'],
            'brief.games.*.sticks' => ['required', 'integer', 'min:0', 'max:1000'],
            'brief.games.*.knobs' => ['required', 'integer', 'min:0', 'max:1000'],
            'brief.games.*.touch' => ['required', 'boolean'],
            'brief.games.*.pictureWidthPx' => ['required', 'integer', 'min:0', 'max:20000'],
            'brief.games.*.pictureHeightPx' => ['required', 'integer', 'min:0', 'max:20000'],
            'brief.skills' => ['nullable', 'array', 'max:100'],
            'brief.skills.*' => ['string', 'max:200'],
            'brief.tools' => ['nullable', 'array', 'max:100'],
            'brief.tools.*' => ['string', 'max:200'],
            'brief.consumables' => ['nullable', 'array', 'max:100'],
            'brief.consumables.*' => ['string', 'max:200'],
            'brief.readyMade' => ['nullable', 'array:amount,currency'],
            'brief.readyMade.amount' => ['required_with:brief.readyMade', 'string', 'regex:/^\d{1,9}(\.\d{1,4})?\z/'],
            'brief.readyMade.currency' => ['required_with:brief.readyMade', 'string', 'regex:/^[A-Z]{3}\z/'],
            'brief.playWhileCharging' => ['nullable', 'boolean'],
            'brief.rights' => ['nullable', 'boolean'],
            'brief.roomC' => ['nullable', 'numeric', 'min:-30', 'max:60'],
            'brief.games.*.triggers' => ['nullable', 'integer', 'min:0', 'max:8'],
            'brief.mustHaves' => ['nullable', 'array', 'max:100'],
            'brief.mustHaves.*' => ['string', 'max:200'],
        ];
    }

    /** @return array<string, mixed> the brief as it is stored: only what was held against the rules, in the format's own types */
    public function brief(): array
    {
        $brief = [];
        foreach (is_array($given = $this->validated('brief')) ? $given : [] as $key => $value) {
            $brief[(string) $key] = match (true) {
                $value === null => null,
                in_array($key, self::NUMBERS, true) => (float) (is_numeric($value) ? $value : 0),
                in_array($key, self::FLAGS, true) => filter_var($value, FILTER_VALIDATE_BOOLEAN),
                $key === 'eveningMinutes' => (int) (is_numeric($value) ? $value : 0),
                $key === 'largestMm' => array_map(static fn (mixed $side): float => is_numeric($side) ? (float) $side : 0.0, (array) $value),
                $key === 'games' => array_map(self::games(...), array_values((array) $value)),
                is_array($value) && array_is_list($value) => array_values(array_filter($value, is_string(...))),
                default => $value,
            };
        }

        return $brief;
    }

    /** @return array<string, mixed> */
    private static function games(mixed $given): array
    {
        $games = [];
        foreach (is_array($given) ? $given : [] as $key => $value) {
            if ($value !== null) {
                $games[(string) $key] = match (true) {
                    $key === 'class' => $value,
                    $key === 'touch' => filter_var($value, FILTER_VALIDATE_BOOLEAN),
                    default => (int) (is_numeric($value) ? $value : 0),
                };
            }
        }

        return $games;
    }

    /** Figures may be written as text, with a unit or without. */
    protected function prepareForValidation(): void
    {
        $brief = $this->input('brief');
        if (! is_array($brief)) {
            return;
        }
        foreach (['runTimeHours' => 'h', 'largestMassG' => 'g', 'gamesGb' => 'GB', 'eveningMinutes' => 'min'] as $field => $unit) {
            $brief[$field] = TypedInput::figure("brief.{$field}", $brief[$field] ?? null, $unit);
        }
        $brief['eveningMinutes'] = is_float($brief['eveningMinutes']) ? (int) round($brief['eveningMinutes']) : $brief['eveningMinutes'];
        if (is_array($brief['largestMm'] ?? null)) {
            foreach ($brief['largestMm'] as $side => $value) {
                $brief['largestMm'][$side] = TypedInput::figure("brief.largestMm.{$side}", $value, 'mm');
            }
            $brief['largestMm'] = array_filter($brief['largestMm'], static fn (mixed $side): bool => $side !== null) === [] ? null : $brief['largestMm'];
        }
        if (is_string($brief['budget'] ?? null)) {
            $currency = is_string($brief['currency'] ?? null) && $brief['currency'] !== '' ? $brief['currency'] : 'EUR';
            $brief['budget'] = trim($brief['budget']) === '' ? null : TypedInput::money('brief.budget', $brief['budget'], $currency);
        }
        if (is_string($brief['readyMade'] ?? null)) {
            $currency = is_string($brief['currency'] ?? null) && $brief['currency'] !== '' ? $brief['currency'] : 'EUR';
            $brief['readyMade'] = trim($brief['readyMade']) === '' ? null : TypedInput::money('brief.readyMade', $brief['readyMade'], $currency);
        }
        if (array_key_exists('roomC', $brief)) {
            $brief['roomC'] = TypedInput::figure('brief.roomC', $brief['roomC'], '°C');
        }
        $this->merge(['brief' => $brief]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the build a name of up to 120 characters.',
            'brief.runTimeHours.*' => 'Write the hours as a number from 0 to 1000, such as 4.5.',
            'brief.readyMade.*' => 'Write what a ready-made one costs in digits with a point and three letters, such as 220.00 GBP.',
            'brief.rights.*' => 'Say yes, no, or leave it open.',
            'brief.playWhileCharging.*' => 'Say yes, no, or leave it open.',
            'brief.roomC.*' => 'Write the degrees of the room as a number from -30 to 60.',
            'brief.budget.amount.*' => 'Write the budget in digits with a point, such as 260 or 259.90.',
            'brief.budget.currency.*' => 'Write the currency as three letters, such as EUR.',
            'brief.currency.*' => 'Write the currency as three letters, such as EUR.',
            'brief.largestMm.*' => 'Write each side in millimetres, from 1 to 5000, or leave all three empty.',
            'brief.largestMassG.*' => 'Write the grams as a number from 1 to 100000.',
            'brief.gamesGb.*' => 'Write the gigabytes as a number of nought or more.',
            'brief.eveningMinutes.*' => 'Write the minutes of an evening as a whole number from 10 to 720.',
            'brief.games.*' => 'Write whole numbers of nought or more for the controls, and 1 to 8 players.',
        ];
    }
}
