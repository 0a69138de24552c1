<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Mapping\Today;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use PocketPlot\Sourcing\Condition;

/** An offer that was seen: of which part, at whom, in which packets, for how much. */
final class OfferRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => [$this->isMethod('PUT') ? 'required' : 'nullable', 'integer', 'min:1'],
            'partKey' => ['required', 'string', 'max:80'],
            'vendor' => ['required', 'string', 'max:120'],
            'variant' => ['nullable', 'string', 'max:120'],
            'pieces' => ['required', 'integer', 'min:1', 'max:10000'],
            'prices' => ['required', 'array', 'list', 'min:1', 'max:20'],
            'prices.*' => ['array:from,price'],
            'prices.*.from' => ['required', 'integer', 'min:1', 'max:100000'],
            'prices.*.price' => ['required', 'string', 'regex:/^\d{1,9}(\.\d{1,2})?\z/'],
            'condition' => ['nullable', Rule::enum(Condition::class)],
            'stock' => ['nullable', 'integer', 'min:0', 'max:1000000'],
            'seenOn' => ['nullable', 'string', TypedInput::day()],
            'link' => ['nullable', 'string', 'max:500', 'regex:#^https?://#'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pieces.*' => 'A packet holds at least 1 piece.',
            'prices.*.price.*' => 'Write the price of a packet in digits, such as 12.40.',
            'prices.*.from.*' => 'Write from how many packets on the price holds.',
            'prices.*' => 'Write a price for one packet.',
            'link.*' => 'A link begins with http:// or https://.',
            'stock.*' => 'Write how many packets there are, or nothing when nobody knows.',
        ];
    }

    /** @return array<string, mixed> by column */
    public function columns(): array
    {
        return [
            'part_key' => $this->string('partKey')->toString(),
            'vendor' => $this->string('vendor')->toString(),
            'variant' => $this->string('variant')->toString(),
            'pieces' => $this->integer('pieces'),
            'prices' => $this->prices(),
            'condition' => $this->filled('condition') ? $this->string('condition')->toString() : Condition::New->value,
            'stock' => $this->filled('stock') ? $this->integer('stock') : null,
            'seen_on' => $this->filled('seenOn') ? $this->string('seenOn')->toString() : (string) Today::day(),
            'link' => $this->string('link')->toString(),
        ];
    }

    /**
     * @return list<array{from: int, price: string}> from one packet on
     *
     * @throws ValidationException when there is none for one packet, two hold from the same number on, or more packets cost more each
     */
    private function prices(): array
    {
        $prices = [];
        foreach ($this->array('prices') as $at => $one) {
            $from = is_array($one) && is_numeric($one['from'] ?? null) ? (int) $one['from'] : 1;
            if (isset($prices[$from])) {
                throw ValidationException::withMessages(["prices.{$at}.from" => "There are two prices from {$from} on. Keep the one that holds."]);
            }
            $prices[$from] = ['from' => $from, 'price' => is_array($one) && is_string($one['price'] ?? null) ? $one['price'] : '0'];
        }
        ksort($prices);
        if (! isset($prices[1])) {
            throw ValidationException::withMessages(['prices' => 'Write the price of one packet, too.']);
        }
        $before = null;
        foreach ($prices as $one) {
            if ($before !== null && (float) $one['price'] > (float) $before['price']) {
                $says = "From {$one['from']} packets on each costs more than fewer do. Write the breaks in order: the more, the cheaper.";
                throw ValidationException::withMessages(['prices' => $says]);
            }
            $before = $one;
        }

        return array_values($prices);
    }
}
