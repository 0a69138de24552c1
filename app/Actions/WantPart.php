<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Appraisal;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\SupplyState;
use PocketPlot\WhatIf\Needs;

/** Puts what a finding asks for on the list as a wanted line, with the figures that it has to meet. */
final class WantPart
{
    /** @throws ValidationException when the finding is gone or asks for nothing that can be put into figures */
    public static function for(BuildRecord $build, string $findingKey): void
    {
        Lines::refuseTooMany($build);
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $appraisal = Appraisal::of($core, Today::day());
        $finding = $appraisal->finding($findingKey);
        $need = $finding === null ? null : (new Needs($appraisal->facts))->of($finding)[0] ?? null;
        if ($finding === null || $need === null) {
            throw ValidationException::withMessages(['finding' => 'Nothing is wanted for this any more. Open the build again and look.']);
        }
        $part = BuildPartRecord::query()->create(['build_id' => $build->id, ...self::named($build, $need->name, $need->asPart(...))]);
        $beside = $need->insteadOf === null ? null : Lines::find($build, $need->insteadOf);
        $line = Lines::add($build, $part, $need->role->value, $beside, 1, SupplyState::ToFind);
        if ($beside !== null) {
            Lines::chooseOnly($build, $line);
        }
        // A converter goes in between; what was settled by hand would lead past it.
        $join = $finding->subject->feed?->join;
        if ($join !== null && isset($need->facets['outputs'])) {
            SettleJoin::out($build, JoinKind::Power->value, $join->to, $join->input);
        }
    }

    /**
     * @param  callable(string): array<string, mixed>  $spec
     * @return array{key: string, spec: array<string, mixed>}
     */
    private static function named(BuildRecord $build, string $name, callable $spec): array
    {
        $base = 'wanted-'.Str::limit(Str::slug($name), 60, '');
        $taken = BuildPartRecord::query()->where('build_id', $build->id)->pluck('key')->flip();
        for ($number = 1; ; $number++) {
            $key = $number === 1 ? $base : "{$base}-{$number}";
            if (! $taken->has($key)) {
                return ['key' => $key, 'spec' => $spec($key)];
            }
        }
    }
}
