<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\JoinKind;
use PocketPlot\File\BuildWriter;

/**
 * A remedy, applied whole: the part in its place, what was settled by hand taken back, the new join settled.
 * Lines by their keys, gauge in AWG, length in millimetres, brightness from 0 to 1.
 *
 * @phpstan-type Settled array{from: string, output: ?string, to: string, input: ?string, through?: ?string, gaugeAwg?: ?float, lengthMm?: ?float}
 * @phpstan-type Given array{line?: ?string, role?: ?string, settles?: ?Settled, frees?: ?array{to: string, input: ?string}, brightness?: ?float, hours?: ?float}
 */
final class ApplyRemedy
{
    /**
     * @param  Given  $given
     * @param  list<PartRecord>  $with  what goes on the list together with the part
     *
     * @throws ValidationException when the join can never be
     */
    public static function to(BuildRecord $build, ?PartRecord $part, array $given, array $with = []): void
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
        foreach ($with as $other) {
            AddLine::to($build, $other, $other->role, null);
        }
        if (isset($given['brightness'])) {
            $dimmed = BuildMapper::toCore($build->load(BuildMapper::RELATIONS))->dimmed((float) $given['brightness']);
            NameProfiles::in($build, array_map(BuildWriter::profile(...), $dimmed->profiles));
        }
        if (isset($given['hours'])) {
            ChangeBrief::hours($build, (float) $given['hours']);
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
