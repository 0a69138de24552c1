<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/** Short ways for a rule to answer. */
trait Answers
{
    /** Beyond so many, a finding names no more lines, rows and remedies: nobody reads them, and all of them against all would never end. */
    private const MOST_NAMED = 80;

    private static ?string $id = null;

    public static function id(): string
    {
        return self::$id ??= self::meta()->id;
    }

    /**
     * @param  list<Line>  $lines
     * @param  list<WorkingLine>  $working
     * @param  list<Remedy>  $remedies
     */
    private function answer(Verdict $verdict, array $lines, string $says, array $working = [], string $comparison = '', array $remedies = [], string $about = '', bool $ofWhole = false): Finding
    {
        $ids = array_values(array_unique(array_map(static fn (Line $line): string => $line->id, array_slice($lines, 0, self::MOST_NAMED))));
        $working = array_slice($working, 0, self::MOST_NAMED);
        $remedies = $verdict === Verdict::Fits ? [] : array_slice($remedies, 0, self::MOST_NAMED);

        return new Finding(self::id(), $verdict, $ids, $says, $working, $comparison, $remedies, $about, $ofWhole);
    }

    /**
     * @param  list<Line>  $others
     * @param  list<WorkingLine>  $working
     * @param  string  $so  what stays open until it is known
     */
    private function unmeasured(Line $line, string|FigureRef $figure, array $others = [], array $working = [], string $about = '', string $so = ''): Finding
    {
        $figure = $figure instanceof FigureRef ? $figure : FigureRef::parse($figure);
        $name = Measuring::name($figure);

        return $this->answer(
            Verdict::Unmeasured,
            [$line, ...$others],
            "Nobody knows the {$name} of {$line->name()} yet".($so === '' ? '.' : ", so {$so}."),
            [...$working, new WorkingLine("{$line->name()}: {$name}", null, '', 'unknown')],
            'cannot be compared yet',
            [Remedy::measure($line->id, $figure)],
            $about,
        );
    }

    private function row(string $label, Figure $figure): WorkingLine
    {
        return WorkingLine::figure($label, $figure);
    }

    private function count(string $label, int|float $value, string $unit = '', string $source = 'worked out'): WorkingLine
    {
        return new WorkingLine($label, (float) $value, $unit, $source);
    }

    private function text(string $label, string $value, string $source = 'datasheet'): WorkingLine
    {
        return new WorkingLine($label, $value === '' ? null : $value, '', $value === '' ? 'unknown' : $source);
    }

    private static function n(float $value): string
    {
        return Number::says($value);
    }

    private function swap(Line $line, string $says = ''): Remedy
    {
        return Remedy::swap($line->id, $line->role, $says === '' ? "Take another part for {$line->name()}" : $says);
    }

    /** Fits with the wanted margin, tight with less, clash below nought. */
    private static function byMargin(float $margin, float $wanted): Verdict
    {
        return match (true) {
            $margin < -1e-9 => Verdict::Clash,
            $margin < $wanted - 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
    }

    /** Fits up to the tight share, tight up to the whole, clash beyond. */
    private static function byShare(float $share, float $tightAt): Verdict
    {
        return match (true) {
            $share > 1.0 + 1e-9 => Verdict::Clash,
            $share > $tightAt + 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
    }
}
