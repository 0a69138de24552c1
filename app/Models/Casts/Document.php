<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use PocketPlot\File\Json;

/**
 * A piece of an open format in a JSON column, kept to the letter.
 *
 * @implements CastsAttributes<array<string, mixed>, array<string, mixed>>
 */
final class Document implements CastsAttributes
{
    /**
     * @param  array<string, mixed>  $attributes
     * @return array<string, mixed>
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $document = is_string($value) ? Json::decode($value) : [];
        $fields = [];
        foreach (is_array($document) ? $document : [] as $name => $field) {
            $fields[(string) $name] = $field;
        }

        return $fields;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return Json::encode($value === [] ? new \stdClass : $value);
    }
}
