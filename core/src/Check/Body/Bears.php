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
use PocketPlot\Part\Sits;
use PocketPlot\Quantity\Constants;

final class Bears extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('body.bears', 'What is heavy does not hang on thin printed posts or brackets.', ['size', 'body.wall']);
    }

    protected function lines(Facts $facts): iterable
    {
        return array_filter($facts->with('mount'), static fn (Line $line): bool => $line->part->sits === Sits::Inside);
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $case = $facts->bodyLine();
        $body = $case?->part->body;
        $mass = $line->part->size->massG;
        // Where nobody weighed it, nothing is made of it: small boards weigh little.
        $isPrinted = $body !== null && str_starts_with($body->process, 'printed') && $body->wallMm->isKnown();
        if ($case === null || $body === null || $case->id === $line->id || ! $isPrinted || ! $mass->isKnown()) {
            return;
        }
        $bears = self::bearsG($body->wallMm->least());
        $verdict = $mass->most() > $bears ? Verdict::Tight : Verdict::Fits;
        yield $this->answer($verdict, [$line, $case], fn (): Words => new Words(
            $verdict === Verdict::Fits
                ? "{$case->name()} bears {$line->name()} on its posts."
                : sprintf(
                    '%s weighs %s; printed posts and brackets of %s mm bear about %s g through a fall.',
                    $line->name(),
                    $mass->says(),
                    self::n($body->wallMm->least()),
                    self::n(round($bears)),
                ),
            [
                $this->row("{$line->name()} weighs", $mass),
                $this->row("{$case->name()}, wall", $body->wallMm),
                $this->count('Bears about', round($bears), 'g', 'worked out'),
            ],
            'bending of a bracket 20 mm wide that stands out 15 mm, at a fifth of what printed layers hold',
            $verdict === Verdict::Fits ? [] : [
                Remedy::byHand('Let it rest on the floor of the body, give the brackets ribs, or hold it at both ends.'), $this->swap($case, 'Take a body with thicker walls'),
            ],
        ));
    }

    /** Grams: force = stress × width × thickness² ÷ (6 × lever). */
    private static function bearsG(float $thickMm): float
    {
        return Constants::BRACKET_MPA * Constants::BRACKET_WIDE_MM * $thickMm ** 2 / (6 * Constants::BRACKET_OUT_MM) / Constants::GRAVITY_N_PER_G;
    }
}
