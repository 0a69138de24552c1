<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use PocketPlot\Build\FitAim;

/** Something done with the places of the pieces. */
final class FitRequest extends EditRequest
{
    private const DID = ['put', 'turn', 'pin', 'out', 'take', 'clear', 'aim', 'split'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $mm = ['required_if:did,put', 'nullable', 'numeric:strict', 'min:-5000', 'max:5000'];
        $placed = ['numeric:strict', 'min:-5000', 'max:5000'];

        return [
            ...parent::rules(),
            'did' => ['required', 'string', Rule::in(self::DID)],
            'line' => ['required_if:did,put,turn,pin,out,split', 'nullable', 'string', 'max:80'],
            'piece' => ['nullable', 'integer:strict', 'min:1', 'max:1000'],
            'xMm' => $mm, 'yMm' => $mm, 'zMm' => $mm,
            'turn' => ['nullable', 'string', 'max:6'],
            'view' => ['nullable', 'string', Rule::in(['face', 'side', 'end'])],
            'pinned' => ['nullable', 'boolean:strict'], 'on' => ['nullable', 'boolean:strict'], 'all' => ['nullable', 'boolean:strict'],
            'aim' => ['required_if:did,aim', 'nullable', Rule::enum(FitAim::class)],
            'split' => ['nullable', 'array', 'list', 'max:200'], 'split.*' => ['string', 'max:80'],
            'poses' => ['present_if:did,take', 'nullable', 'array', 'list', 'max:400'],
            'poses.*.line' => ['required', 'string', 'max:80'], 'poses.*.piece' => ['nullable', 'integer:strict', 'min:1', 'max:1000'],
            'poses.*.xMm' => ['required', ...$placed], 'poses.*.yMm' => ['required', ...$placed], 'poses.*.zMm' => ['required', ...$placed],
            'poses.*.turn' => ['nullable', 'string', 'max:6'], 'poses.*.pinned' => ['nullable', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'did.*' => 'Say what is to become of the arrangement.',
            'xMm.*' => 'Write how far from the left it lies, in millimetres.', 'yMm.*' => 'Write how far from the top it lies, in millimetres.',
            'zMm.*' => 'Write how far behind the face it lies, in millimetres.',
            'poses.*' => 'Each piece needs its line and three distances in millimetres.',
            'poses.*.*' => 'Each piece needs its line and three distances in millimetres.',
        ];
    }
}
