<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\PartRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\JoinKind;

/**
 * A remedy, applied whole: the part in its place, what was settled by hand taken back, the new join settled.
 * Lines by their keys, gauge in AWG, length in millimetres.
 *
 * @phpstan-type Settled array{from: string, output: ?string, to: string, input: ?string, through?: ?string, gaugeAwg?: ?float, lengthMm?: ?float}
 * @phpstan-type Given array{line?: ?string, role?: ?string, settles?: ?Settled, frees?: ?array{to: string, input: ?string}}
 */
final class ApplyRemedy
{
    /**
     * @param  Given  $given
     *
     * @throws ValidationException when the join can never be
     */
    public static function to(BuildRecord $build, ?PartRecord $part, array $given): void
    {
        $frees = $given['frees'] ?? null;
        if ($frees !== null) {
            SettleJoin::out($build, JoinKind::Power->value, $frees['to'], $frees['input'] ?? '');
        }
        if ($part !== null) {
            isset($given['line'])
                ? SwapLine::in($build, $given['line'], $part)
                : AddLine::to($build, $part, $given['role'] ?? $part->role, null);
        }
        if (isset($given['settles'])) {
            SettleJoin::in($build->refresh(), [
                'kind' => JoinKind::Power->value,
                ...$given['settles'],
                'output' => $given['settles']['output'] ?? '',
                'input' => $given['settles']['input'] ?? '',
                'through' => $given['settles']['through'] ?? '',
            ]);
        }
    }
}
