<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use PocketPlot\File\BadFile;
use PocketPlot\File\Json;

/** A part from the editor. Its shape is judged by the core; this holds limits only. */
final class PartRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => [$this->isMethod('POST') ? 'nullable' : 'required', 'integer', 'min:1'],
            'part' => ['required', 'array', 'max:60'],
            'part.name' => ['required', 'string', 'max:120'],
            'part.role' => ['required', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['part.name.*' => 'Give the part a name of up to 120 characters.', 'part.role.*' => 'Choose what the part is for.'];
    }

    /**
     * As it was sent: a group of nothing stays a group, which a PHP array cannot say.
     *
     * @return array<string, mixed>
     *
     * @throws BadFile
     */
    public function part(): array
    {
        try {
            $given = $this->isJson() ? Json::decode((string) $this->getContent()) : ['part' => $this->input('part')];
        } catch (\JsonException $notJson) {
            throw BadFile::notJson($notJson->getMessage());
        }
        $part = [];
        foreach (is_array($given) && is_array($given['part'] ?? null) ? $given['part'] : [] as $key => $value) {
            $part[(string) $key] = $value;
        }

        return [...$part, 'name' => $this->string('part.name')->toString()];
    }
}
