<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Build\FaultState;

/** A decision about the steps. */
final class WorkRequest extends EditRequest
{
    private const DID = ['order', 'evenings', 'add', 'own', 'remove', 'change', 'drop', 'take-up', 'slim', 'look', 'fault'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $steps = ['nullable', 'array', 'list', 'max:2000'];
        $step = ['string', 'max:160'];

        return [
            ...parent::rules(),
            'did' => ['required', 'string', Rule::in(self::DID)],
            'step' => ['required_if:did,own,remove,change,drop,take-up', 'nullable', ...$step],
            'order' => ['present_if:did,order', ...$steps], 'order.*' => $step,
            'weekdays' => ['nullable', 'array', 'list', 'min:1', 'max:7'], 'weekdays.*' => ['integer:strict', 'min:1', 'max:7'],
            'daysOff' => ['nullable', 'array', 'list', 'max:400'], 'daysOff.*' => ['string', TypedInput::day()],
            'eveningMinutes' => ['nullable', 'integer:strict', 'min:10', 'max:1440'],
            'title' => ['required_if:did,add,own', 'nullable', 'string', 'max:200'],
            'says' => ['nullable', 'string', 'max:2000'], 'note' => ['nullable', 'string', 'max:2000'], 'why' => ['nullable', 'string', 'max:300'],
            'minutes' => ['nullable', 'integer:strict', 'min:1', 'max:10000'],
            'lines' => ['nullable', 'array', 'list', 'max:200'], 'lines.*' => ['string', 'max:80'],
            'after' => ['nullable', 'array', 'list', 'max:100'], 'after.*' => $step,
            'before' => ['nullable', 'array', 'list', 'max:100'], 'before.*' => $step,
            'tools' => ['nullable', 'array', 'list', 'max:40'], 'tools.*' => ['string', 'max:80'],
            'asks' => ['nullable', 'string', 'max:300'], 'canBeUndone' => ['nullable', 'boolean:strict'],
            'aloneHours' => ['nullable', 'numeric:strict', 'min:0', 'max:2000'],
            'line' => ['required_if:did,slim', 'nullable', 'string', 'max:80'], 'on' => ['nullable', 'boolean:strict'],
            'fault' => ['required_if:did,look,fault', 'nullable', 'string', 'max:160'],
            'key' => ['required_if:did,look', 'nullable', 'string', 'max:300'], 'well' => ['nullable', 'boolean:strict'],
            'state' => ['nullable', Rule::enum(FaultState::class)], 'lookAgainOn' => ['nullable', 'string', TypedInput::day()],
            'cause' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'did.*' => 'Say what is to become of the plan.', 'title.*' => 'Write what is to be done, in at most 200 letters.',
            'minutes.*' => 'Write the minutes it takes, at least 1.', 'eveningMinutes.*' => 'Write the minutes of an evening, 10 at least.',
            'weekdays.*' => 'Leave at least one day of the week free.', 'aloneHours.*' => 'Write the hours it goes on by itself, as a number.',
        ];
    }
}
