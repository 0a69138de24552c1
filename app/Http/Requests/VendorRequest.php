<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PocketPlot\File\BadFile;
use PocketPlot\File\Fields;
use PocketPlot\File\VendorReader;

/** A vendor and its terms. Sums in its own currency; what is left out is not known. */
final class VendorRequest extends FormRequest
{
    private const MONEY = ['string', 'regex:/^\d{1,9}(\.\d{1,2})?\z/'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $days = ['integer', 'min:0', 'max:730'];

        return [
            'version' => [$this->isMethod('PUT') ? 'required' : 'nullable', 'integer', 'min:1'],
            'name' => ['required', 'string', 'max:120'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}\z/'],
            'note' => ['nullable', 'string', 'max:500'],
            'lead' => ['required', 'array:least,usual,most'],
            'lead.least' => ['nullable', ...$days], 'lead.usual' => ['required', ...$days], 'lead.most' => ['nullable', ...$days],
            'post' => ['nullable', 'array:steps,freeFrom'],
            'post.steps' => ['nullable', 'array', 'list', 'max:20'],
            'post.steps.*' => ['array:upToGrams,price'],
            'post.steps.*.upToGrams' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'post.steps.*.price' => ['required', ...self::MONEY],
            'post.freeFrom' => ['nullable', ...self::MONEY],
            'closures' => ['nullable', 'array', 'list', 'max:60'],
            'closures.*' => ['array:from,to'],
            'closures.*.from' => ['required', 'string', TypedInput::day()], 'closures.*.to' => ['required', 'string', TypedInput::day()],
            'leastOrder' => ['nullable', ...self::MONEY], 'dutyFreeUpTo' => ['nullable', ...self::MONEY],
            'taxPercent' => ['nullable', 'numeric', 'min:0', 'max:200'], 'dutyPercent' => ['nullable', 'numeric', 'min:0', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the vendor a name of up to 120 characters.',
            'currency.*' => 'Write the currency as three letters, such as EUR.',
            'lead.*' => 'Write the days from the order to the parcel as whole numbers.',
            'taxPercent.*' => 'Write a share from 0 to 200 per cent.', 'dutyPercent.*' => 'Write a share from 0 to 200 per cent.',
            'leastOrder.*' => 'Write the sum in digits, such as 10.00.', 'dutyFreeUpTo.*' => 'Write the sum in digits, such as 150.00.',
            'post.*' => 'Write what post costs in digits, such as 4.90.', 'closures.*' => 'Write the first and the last day of it.',
        ];
    }

    /**
     * @return array<string, mixed> by column
     *
     * @throws ValidationException when days or weights are in no order
     */
    public function columns(): array
    {
        $terms = self::said(array_intersect_key(
            (array) $this->validated(), array_flip(['post', 'lead', 'closures', 'leastOrder', 'dutyFreeUpTo', 'taxPercent', 'dutyPercent']),
        ));
        $given = ['name' => $this->string('name')->toString(), 'currency' => $this->string('currency')->toString()];
        try {
            $vendor = VendorReader::read(new Fields([...$given, ...$terms], 'vendor'));
        } catch (BadFile $bad) {
            $fields = [];
            foreach ($bad->problems as $problem) {
                $fields[str_replace(['vendor/', '/'], ['', '.'], $problem->field)][] = ucfirst($problem->says()).'.';
            }
            throw ValidationException::withMessages($fields);
        }

        return [...$given, 'note' => $this->string('note')->toString(), 'lead_days' => $vendor->lead->usual, 'terms' => $terms];
    }

    /**
     * What is left empty is not written down; post that names no price is not known.
     *
     * @param  array<array-key, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function said(array $fields): array
    {
        $filled = [];
        foreach ($fields as $key => $value) {
            $value = is_array($value) && ! array_is_list($value) ? self::said($value) : $value;
            if (is_array($value) && array_is_list($value)) {
                $value = array_map(static fn (mixed $one): mixed => is_array($one) ? self::said($one) : $one, $value);
            }
            if ($value !== null && $value !== '' && $value !== []) {
                $filled[(string) $key] = $value;
            }
        }

        return $filled;
    }
}
