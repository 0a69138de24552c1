<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sheets\SheetFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Sheet\Column;

/** A spreadsheet to be looked at: a file as base64, or cells pasted as text. */
class SheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => ['required_without:text', 'nullable', 'string', 'max:'.intdiv(SheetFile::MOST_BYTES * 4, 3) + 10],
            'text' => ['nullable', 'string', 'max:'.SheetFile::MOST_BYTES],
            'sheet' => ['nullable', 'string', 'max:200'],
            'columns' => ['nullable', 'array', 'max:'.SheetFile::MOST_COLUMNS],
            'columns.*' => [Rule::enum(Column::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.max' => sprintf('The file is too large; up to %.0f MB are read. Keep the sheet with the parts and save that alone.', SheetFile::MOST_BYTES / 1e6),
            'text.max' => sprintf('The text is too large; up to %.0f MB are read. Paste the rows of one build.', SheetFile::MOST_BYTES / 1e6),
            'file.*' => 'Choose an XLSX, ODS or CSV file.',
            'columns.*' => 'Choose for each column what it holds.',
        ];
    }

    /** The bytes of the file, or of the pasted cells. */
    public function bytes(): string
    {
        if (! $this->filled('file')) {
            return $this->string('text')->toString();
        }

        return (string) base64_decode($this->string('file')->toString(), true);
    }

    /** @return list<Column>|null */
    public function columns(): ?array
    {
        $given = $this->input('columns');

        return is_array($given) && $given !== []
            ? array_values(array_map(static fn (mixed $kind): Column => Column::from(is_string($kind) ? $kind : ''), $given))
            : null;
    }
}
