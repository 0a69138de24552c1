<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** Rows holding pieces of the open format that were written since somebody last asked; Actions\ReadBack asks before each commit. */
final class Written
{
    /** @var array<string, Model> */
    private static array $rows = [];

    public static function note(Model $row): void
    {
        self::$rows[$row->getTable().' '.$row->getKey()] = $row;
    }

    /** @return list<Model> each once, as it was last written */
    public static function take(): array
    {
        $rows = array_values(self::$rows);
        self::$rows = [];

        return $rows;
    }
}
