<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use App\Models\JoinRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\JoinKind;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;

/** The builder's own word on what is joined to what; taken back, the proposal stands again. */
final class SettleJoin
{
    /**
     * @param  array{kind: string, from: string, to: string, output?: ?string, input?: ?string, through?: ?string, gaugeAwg?: ?float, lengthMm?: ?float}  $given
     *
     * @throws ValidationException when the two can never be joined this way
     */
    public static function in(BuildRecord $build, array $given): void
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        try {
            $join = BuildReader::join(new Fields(array_filter($given, static fn (mixed $value): bool => $value !== null), 'join'));
            $from = $core->line($join->from);
            $to = $core->line($join->to);
            if ($from === null || $to === null) {
                throw BadFile::at('join', 'one of the lines is not in this build any more');
            }
            BuildReader::refuseImpossible($join, $from, $to, 'join');
        } catch (BadFile $bad) {
            throw Complaint::about($bad, 'join');
        }
        self::out($build, $join->kind->value, $join->to, $join->input, $join->kind === JoinKind::Parallel ? $join->from : null);
        JoinRecord::query()->create([
            'build_id' => $build->id,
            'kind' => $join->kind->value,
            'from_line_id' => Lines::find($build, $join->from)->id,
            'to_line_id' => Lines::find($build, $join->to)->id,
            'output' => $join->output, 'input' => $join->input, 'through_line_id' => $join->through === '' ? null : Lines::find($build, $join->through)->id,
            'gauge_awg' => $join->gaugeAwg, 'length_mm' => $join->lengthMm, 'extra' => [],
        ]);
    }

    /** Takes the builder's word back. */
    public static function out(BuildRecord $build, string $kind, string $to, string $input, ?string $from = null): void
    {
        JoinRecord::query()->where('build_id', $build->id)->where('kind', $kind)->where('to_line_id', Lines::find($build, $to)->id)->where('input', $input)
            ->when($from !== null, static fn ($query) => $query->where('from_line_id', Lines::find($build, (string) $from)->id))->delete();
    }
}
