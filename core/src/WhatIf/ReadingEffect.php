<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Bench\Replacement;
use PocketPlot\Build\Build;
use PocketPlot\Build\Reading;
use PocketPlot\Check\VerdictChanges;
use PocketPlot\Facts\Facts;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\Quantity\Day;
use PocketPlot\Vitals;

/** What would move if a reading took the place of the spec figures it speaks of: a second appraisal laid beside the first. */
final readonly class ReadingEffect
{
    /** @param  list<array{key: string, says: string, was: ?string, is: ?string, better: bool}>  $changes  verdicts that are others */
    private function __construct(public array $changes, public Vitals $before, public Vitals $after) {}

    /** @param  Day  $today the day that both appraisals reckon from */
    public static function of(Build $build, Reading $reading, Day $today): self
    {
        $before = Appraisal::of($build, $today);
        $after = Appraisal::of(self::counting($build, $reading), $today);

        return new self(VerdictChanges::compare(VerdictChanges::keep($before->findings), $after->findings), $before->vitals, $after->vitals);
    }

    /** The build in which the reading has taken the place of the spec figures that it speaks of. */
    public static function counting(Build $build, Reading $reading): Build
    {
        $part = $build->line($reading->line)?->part;
        if ($part === null) {
            return $build;
        }
        $raw = $part->raw;
        foreach (Replacement::of($build, $reading, (new Facts($build))->leadOhms()) as $one) {
            $raw = FigurePlace::of($one->figure)?->write($raw, $one->typed, (string) $reading->takenOn) ?? $raw;
        }

        return $build->withPart($part->id, PartReader::read($raw));
    }

    /** @return array{changes: list<array{key: string, says: string, was: ?string, is: ?string, better: bool}>, before: array<string, mixed>, after: array<string, mixed>} the shape that the API answers (contract/openapi.json, "ReadingEffect") */
    public function toArray(): array
    {
        return ['changes' => $this->changes, 'before' => $this->before->toArray(), 'after' => $this->after->toArray()];
    }
}
