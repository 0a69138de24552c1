<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use Illuminate\Support\Arr;

/** Quantity, sourcing and note of a line. Only what is given changes. */
final class ChangeLine
{
    /** @param  array<string, mixed>  $given validated fields of ChangeLineRequest */
    public static function in(BuildRecord $build, string $key, array $given): void
    {
        $line = Lines::find($build, $key);
        $line->fill(Arr::only($given, ['quantity', 'state', 'origin']));
        foreach (['vendor' => 'vendor', 'note' => 'note', 'place' => 'place'] as $field => $column) {
            if (array_key_exists($field, $given)) {
                $line->setAttribute($column, is_string($given[$field]) ? $given[$field] : '');
            }
        }
        if (array_key_exists('price', $given)) {
            $price = is_array($given['price']) ? $given['price'] : [];
            $line->fill(['price_amount' => $price['amount'] ?? null, 'price_currency' => $price['currency'] ?? null]);
        }
        if (array_key_exists('expectedOn', $given)) {
            $line->fill(['expected_on' => $given['expectedOn']]);
        }
        $line->save();
        if ($line->owned > 0 && $line->owned !== $line->quantity && $line->wasChanged('quantity')) {
            // Of what lies in the drawer, the line had just what it needed; now it is to be said anew.
            DrawerPieces::letGo($build, $key);
        }
    }
}
