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
            $fields[str_replace('/', '.', $problem->without($root)->field)][] = ucfirst($problem->says()).'.';
        }

        return ValidationException::withMessages($fields);
    }
}
