<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Validation\ValidationException;
use PocketPlot\File\BadFile;

/** The core's complaint about a piece of a file, as one about the fields of the page that it was typed into. */
final class Complaint
{
    /**
     * Every problem under its field, in words that stand beside it.
     *
     * @param  string  $root  what the core calls the piece, left out of the fields' names: "join", "reading"; "" keeps the whole path
     */
    public static function about(BadFile $bad, string $root = ''): ValidationException
    {
        $fields = [];
        foreach ($bad->problems as $problem) {
            [$path, $says] = [...explode(': ', $problem, 2), ''];
            $field = $root !== '' && str_starts_with($path, "{$root}/") ? substr($path, strlen($root) + 1) : $path;
            $fields[str_replace('/', '.', $field)][] = ucfirst($says === '' ? $path : $says).'.';
        }

        return ValidationException::withMessages($fields);
    }
}
