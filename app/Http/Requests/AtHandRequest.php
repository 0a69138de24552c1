<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What the builder can do, has, or has in the drawer; only what is given changes. */
final class AtHandRequest extends EditRequest
{
    private const KINDS = ['skills', 'tools', 'consumables'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = parent::rules();
        foreach (self::KINDS as $kind) {
            $rules[$kind] = ['sometimes', 'array', 'max:100'];
            $rules["{$kind}.*"] = ['string', 'max:200'];
        }

        return $rules;
    }

    /** @return array<string, list<string>> */
    public function atHand(): array
    {
        /** @var array<string, list<string>> $given */
        $given = array_intersect_key((array) $this->validated(), array_flip(self::KINDS));

        return array_map(array_values(...), $given);
    }
}
