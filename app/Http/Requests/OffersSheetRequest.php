<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A spreadsheet of offers; taken once that is said. */
final class OffersSheetRequest extends SheetRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...array_intersect_key(parent::rules(), ['file' => true, 'text' => true, 'sheet' => true]), 'take' => ['nullable', 'boolean']];
    }
}
