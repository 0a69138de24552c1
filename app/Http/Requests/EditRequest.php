<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An edit that needs nothing but the version of the page it was made on. */
class EditRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:1']];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
