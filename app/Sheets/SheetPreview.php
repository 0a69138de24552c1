<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Library\PartQueries;
use App\Models\User;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\Sheet\Column;
use PocketPlot\Sheet\Headings;
use PocketPlot\Sheet\NameIndex;
use PocketPlot\Sheet\SheetReader;
use PocketPlot\Sheet\SheetRow;

/** What would become of each row of a spreadsheet. Nothing is stored. */
final class SheetPreview
{
    /** Cells of a column that are shown beside its heading. */
    private const SAMPLE = 3;

    /**
     * @param  list<Column>|null  $chosen  what the columns hold, where the builder said so
     * @return array<string, mixed>
     */
    public static function of(User $user, SheetFile $file, ?array $chosen): array
    {
        $heading = Headings::find($file->rows);
        $headings = $heading === null ? [] : $file->rows[$heading];
        $first = $heading === null ? 0 : $heading + 1;
        $below = array_slice($file->rows, $first);
        $guessed = Headings::kinds($headings, $below);
        $kinds = $chosen !== null && count($chosen) === count($guessed) ? $chosen : $guessed;
        $rows = (new SheetReader($headings, $kinds))->read($below, $first + 1);
        $known = PartQueries::names($user);
        $index = new NameIndex(array_column($known, 'name'));

        return [
            'sheets' => $file->sheets,
            'sheet' => $file->sheet,
            'headingRow' => $heading === null ? null : $heading + 1,
            'columns' => array_map(static fn (int $at, Column $kind): array => [
                'heading' => $headings[$at] ?? '', 'kind' => $kind->value, 'sample' => self::sample($below, $at),
            ], array_keys($kinds), $kinds),
            'rows' => array_map(static fn (SheetRow $row): array => self::row($row, $index, $known), $rows),
            'remarks' => $file->remarks,
        ];
    }

    /**
     * @param  list<array{id: int, name: string, isOwn: bool}>  $known
     * @return array<string, mixed>
     */
    private static function row(SheetRow $row, NameIndex $index, array $known): array
    {
        $place = $row->leftOut === '' ? $index->find($row->name) : null;

        return [
            'row' => $row->row, 'name' => $row->name, 'role' => $row->role?->value, 'quantity' => $row->quantity,
            'price' => $row->price === null ? null : ['amount' => $row->price, 'currency' => $row->currency],
            'vendor' => $row->vendor, 'maker' => $row->maker, 'link' => $row->link, 'state' => $row->state?->value, 'origin' => $row->origin?->value,
            'note' => $row->note, 'text' => $row->text,
            'match' => $place === null ? null : ['libraryId' => $known[$place]['id'], 'name' => $known[$place]['name'], 'isOwn' => $known[$place]['isOwn']],
            'finds' => $row->leftOut === '' && $place === null ? SureFinds::says($row->text, $row->role) : [],
            'problems' => $row->problems, 'leftOut' => $row->leftOut,
        ];
    }

    /**
     * @param  list<list<string>>  $rows
     * @return list<string>
     */
    private static function sample(array $rows, int $column): array
    {
        $cells = array_values(array_filter(array_map(static fn (array $row): string => trim($row[$column] ?? ''), array_slice($rows, 0, 40)),
            static fn (string $cell): bool => $cell !== ''));

        return array_map(static fn (string $cell): string => mb_substr($cell, 0, 60), array_slice($cells, 0, self::SAMPLE));
    }
}
