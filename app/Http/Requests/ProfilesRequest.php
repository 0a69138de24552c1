<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The builder's ways of playing, shares as they are typed: 20 or "20 %". */
final class ProfilesRequest extends EditRequest
{
    private const SHARES = ['off', 'idle', 'usual', 'heavy', 'brightness', 'volume', 'fan'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'profiles' => ['present', 'array', 'max:8'],
            'profiles.*.name' => ['required', 'string', 'max:60'],
            ...array_fill_keys(array_map(static fn (string $share): string => "profiles.*.{$share}", self::SHARES), ['nullable', 'numeric']),
            'profiles.*.radio' => ['nullable', 'boolean'],
        ];
    }

    /** @return list<array<string, mixed>> */
    public function profiles(): array
    {
        $profiles = [];
        foreach (is_array($given = $this->validated('profiles')) ? $given : [] as $profile) {
            $one = [];
            foreach (is_array($profile) ? $profile : [] as $key => $value) {
                if ($value !== null) {
                    $one[(string) $key] = in_array($key, self::SHARES, true) && is_numeric($value) ? (float) $value : $value;
                }
            }
            $profiles[] = $one;
        }

        return $profiles;
    }

    protected function prepareForValidation(): void
    {
        $profiles = $this->input('profiles');
        if (! is_array($profiles)) {
            return;
        }
        foreach ($profiles as $index => $profile) {
            foreach (is_array($profile) ? array_intersect_key($profile, array_flip(self::SHARES)) : [] as $share => $value) {
                $profile[$share] = TypedInput::percent("profiles.{$index}.{$share}", $value);
            }
            $profiles[$index] = $profile;
        }
        $this->merge(['profiles' => $profiles]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['profiles.*.name' => 'Give it a name of up to 60 characters.', 'profiles.max' => 'Eight ways of playing are the most.'];
    }
}
