<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\TakeRecord;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use PocketPlot\Build\StepDid;
use PocketPlot\Build\StepEvent;
use PocketPlot\File\Fields;

/** What happened at the bench, possibly a while ago. */
final class RecordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'events' => ['required', 'array', 'list', 'min:1', 'max:100'],
            'events.*' => ['array:id,step,did,on,at,note,minutes,read,photo'],
            'events.*.id' => ['required', 'string', 'max:160'],
            'events.*.step' => ['required', 'string', 'max:160'],
            'events.*.did' => ['required', Rule::enum(StepDid::class)],
            'events.*.on' => ['nullable', 'string', TypedInput::day()],
            'events.*.at' => ['nullable', 'string', 'regex:/^\d{2}:\d{2}\z/'],
            'events.*.note' => ['nullable', 'string', 'max:2000'],
            'events.*.minutes' => ['nullable', 'integer', 'min:0', 'max:10000'],
            'events.*.photo' => ['nullable', 'string', 'max:8000000'],
            'events.*.read' => ['nullable', 'array', 'max:100'],
            'events.*.read.*' => ['nullable'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['events.*.photo.*' => 'Choose a photograph of at most 6 MB, as JPEG, PNG or WebP.', 'events.*.note.*' => 'Write the note in at most 2000 letters.'];
    }

    /** @return list<array{StepEvent, array<string, mixed>}> each with what its gate read, figures as they were typed ("5,02 V", "0.43 A") */
    public function events(): array
    {
        $events = [];
        foreach (is_array($this->input('events')) ? array_values($this->input('events')) : [] as $at => $given) {
            $one = new Fields(is_array($given) ? array_filter($given, static fn (mixed $value): bool => $value !== null) : [], "events/{$at}");
            $read = $one->child('read');
            $events[] = [new StepEvent(
                $one->string('id'), $one->string('step'), $one->oneOf('did', StepDid::class), TakeRecord::day($one->string('on', '')), '', [], [],
                $one->string('note', ''), $one->string('at', ''), $one->has('minutes') ? $one->int('minutes') : null, $one->string('photo', ''),
            ), $read === null ? [] : $read->rest([])];
        }

        return $events;
    }
}
