<?php

declare(strict_types=1);

namespace PocketPlot\Check\Heat;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Body;
use PocketPlot\Part\Cooling;

final class Airflow extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('heat.airflow', 'A fan has openings to breathe through.', ['cooling.ventMm2', 'body.ventMm2']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('cooling');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null) {
            return;
        }
        foreach ($facts->with('heat') as $hot) {
            if ($hot->part->heat?->measuredC?->isKnown() === true) {
                // Measured with this fan in this body: the openings are what they are.
                return;
            }
        }
        if ($line->part->cooling?->fan === true && $line->part->sits->takesRoom()) {
            yield $this->judge($line, $line->part->cooling, $bodyLine, $body);
        }
    }

    private function judge(Line $line, Cooling $cooling, Line $bodyLine, Body $body): Finding
    {
        if (! $cooling->ventMm2->isKnown()) {
            return $this->unmeasured($line, 'cooling.ventMm2', [$bodyLine]);
        }
        $working = [$this->row("{$line->name()} wants", $cooling->ventMm2->times($line->quantity)), $this->row("{$bodyLine->name()} has", $body->ventMm2)];
        if ($body->drawn) {
            return $this->answer(Verdict::Tight, [$line, $bodyLine], fn (): Words => new Words(
                "{$bodyLine->name()} has to be drawn with {$cooling->ventMm2->says()} of openings for {$line->name()}, in and out together.",
                $working,
                'holds when it is drawn so',
                [
                    Remedy::byHand(
                        'Half of it low where the cool air comes in, half beside the fan. Slits of 2 mm keep fingers out.',
                    ), $this->swap($line, 'Take cooling without a fan'),
                ]));
        }
        if (! $body->ventMm2->isKnown()) {
            return $this->unmeasured($bodyLine, 'body.ventMm2', [$line], $working);
        }
        $has = $body->ventMm2->least();
        $wants = $cooling->ventMm2->most() * $line->quantity;
        $verdict = match (true) {
            $has >= $wants => Verdict::Fits,
            $has >= $wants / 2 || $body->cuttable => Verdict::Tight,
            default => Verdict::Clash,
        };

        return $this->answer($verdict, [$line, $bodyLine], fn (): Words => new Words(sprintf(
            '%s wants %s mm² of openings; %s has %s mm²%s.',
            $line->name(),
            self::n($wants),
            $bodyLine->name(),
            self::n($has),
            $verdict === Verdict::Tight && $body->cuttable ? ', more have to be cut' : '',
        ), $working, 'openings against what the fan wants', [
            Remedy::byHand(
                'Drill a row of small holes low down and beside the fan; deburr, and keep the swarf away from the boards.',
            ), $this->swap($bodyLine, 'Take a body with vents'), $this->swap($line, 'Take a smaller fan'),
        ]));
    }
}
