<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;

final class Tipping extends LineRule
{
    /** Times the weight on the near side of the feet that is wanted against the weight beyond them. */
    private const WANTED = 1.5;

    public static function meta(): Meta
    {
        return new Meta(
            'body.tipping',
            'A clamshell stands: its lid, leaned back as far as it goes, weighs less about the rear feet than its base.',
            ['stand.lidMassG', 'stand.lidCentreMm', 'stand.stopsDeg', 'stand.baseMassG', 'stand.baseCentreMm', 'stand.feetMm'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('stand');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $stand = $line->part->stand;
        if ($stand === null) {
            return;
        }
        foreach (['lidMassG', 'lidCentreMm', 'stopsDeg', 'baseMassG', 'baseCentreMm', 'feetMm'] as $field) {
            if (! $stand->{$field}->isKnown()) {
                yield $this->unmeasured($line, FigureRef::of('stand', $field), [], [], '', 'nobody can say whether it stands');

                return;
            }
        }
        $lid = $stand->lidMassG->most();
        $feet = $stand->feetMm->usual();
        $reach = $stand->lidCentreMm->most() * sin(deg2rad($stand->stopsDeg->most()));
        $back = $lid * ($reach + $feet);
        $front = $stand->baseMassG->least() * ($stand->baseCentreMm->least() - $feet);
        $times = $back > 0.0 ? $front / $back : INF;
        $falls = rad2deg(asin(max(-1.0, min(1.0, ($front / max(1e-9, $lid) - $feet) / max(1e-9, $stand->lidCentreMm->most())))));
        $verdict = $times < 1.0 ? Verdict::Clash : ($times < self::WANTED ? Verdict::Tight : Verdict::Fits);
        yield $this->answer($verdict, [$line], fn (): Words => new Words(
            $times < 1.0
                ? sprintf(
                    '%s falls back once its lid leans more than about %s degrees; it stops at %s.',
                    $line->name(),
                    self::n(round($falls)),
                    $stand->stopsDeg->says(),
                )
                : "{$line->name()} stands with its lid leaned back as far as it goes.",
            [
                $this->row('Lid with all that is in it', $stand->lidMassG),
                $this->row('Its weight centre behind the feet', Figure::exactly(round($reach + $feet, 1), 'mm')),
                $this->row('Base with all that is in it', $stand->baseMassG),
                $this->row('Its weight centre in front of the feet', Figure::exactly($stand->baseCentreMm->least() - $feet, 'mm')),
            ],
            sprintf('%s g·mm behind, %s g·mm in front', self::n(round($back)), self::n(round($front))),
            [Remedy::byHand('Move what is heavy from the lid into the base, forward of the hinge; let the lid stop earlier; or set the feet farther back.')],
        ));
        if ($stand->torqueNm->isKnown()) {
            $needs = $lid / 1000 * self::GRAVITY * $reach / 1000;
            yield $this->answer(self::byMargin($stand->torqueNm->least() - $needs, $needs * 0.2), [$line], fn (): Words => new Words(
                sprintf('Held at the stop, the lid asks for %s N·m; the hinges hold %s.', self::n(round($needs, 2)), $stand->torqueNm->says()),
                [$this->row('All hinges together', $stand->torqueNm)],
                'weight × gravity × reach',
                [Remedy::byHand('Stiffer hinges, or a lighter lid.')],
            ), 'hinge');
        }
    }

    /** Metres a second squared. */
    private const GRAVITY = 9.81;
}
