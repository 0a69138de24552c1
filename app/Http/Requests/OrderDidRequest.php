<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What happened to an order. */
final class OrderDidRequest extends EditRequest
{
    private const DID = ['confirm', 'send', 'expect', 'arrive', 'test', 'refund', 'put-away', 'cancel', 'undo'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $count = ['nullable', 'integer', 'min:0', 'max:1000000'];

        return [
            ...parent::rules(),
            'did' => ['required', 'string', 'in:'.implode(',', self::DID)],
            'item' => ['required_if:did,arrive,test,refund,put-away', 'nullable', 'integer', 'min:0', 'max:999'],
            'right' => $count, 'wrong' => $count, 'broken' => $count, 'missing' => $count, 'works' => $count, 'fails' => $count, 'pieces' => $count,
            'tracking' => ['nullable', 'string', 'max:120'],
            'place' => ['nullable', 'string', 'max:120'],
            'expectedOn' => ['required_if:did,expect', 'nullable', 'string', TypedInput::day()],
            'refund' => ['required_if:did,refund', 'nullable', 'string', 'regex:/^\d{1,7}([.,]\d{1,2})?\z/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'refund.*' => 'Write what came back in digits, such as 12.40.',
            'expectedOn.required_if' => 'Write the day on which it is expected.',
            'did.*' => 'Say what happened to the order.',
        ];
    }

    protected function prepareForValidation(): void
    {
        $refund = $this->input('refund');
        if (is_string($refund)) {
            $this->merge(['refund' => str_replace(',', '.', trim($refund))]);
        }
    }
}
