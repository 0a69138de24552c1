<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\BodySize;
use PocketPlot\Part\Body;
use PocketPlot\Part\Typical;
use PocketPlot\Quantity\Source;

final class PrintBed extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('body.print-bed', 'Each half of a printed body goes onto the printer\'s bed, one way round or the other.', ['body.bed', 'size']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        $body = $line?->part->body;
        if ($line === null || $body === null || ! str_starts_with($body->process, 'printed')) {
            return;
        }
        if (! $body->bedLengthMm->isKnown() || ! $body->bedWidthMm->isKnown()) {
            yield $this->unmeasured($line, 'body.bed');

            return;
        }
        $outside = $facts->bodySize();
        $sides = $outside->size->sidesMm();
        $own = $line->part->size;
        if ($sides === [] && $own->lengthMm->isKnown() && $own->widthMm->isKnown()) {
            $sides = [max($own->lengthMm->most(), $own->widthMm->most()), min($own->lengthMm->most(), $own->widthMm->most())];
        }
        if ($sides === []) {
            if ($outside->unsized !== null) {
                yield $this->unmeasured($outside->unsized, 'size', [$line], [], 'bed');
            } elseif ($body->drawn && ! $body->wallMm->isKnown()) {
                yield $this->unmeasured($line, 'body.wall', [], [], 'bed');
            }

            return;
        }
        yield $this->onto($line, $body, $outside, $sides);
    }

    /** @param  non-empty-list<float>  $sides  of the whole, falling */
    private function onto(Line $line, Body $body, BodySize $outside, array $sides): Finding
    {
        $height = Typical::or($body->bedHeightMm, Typical::BED_HIGH_MM);
        $bed = [$body->bedLengthMm->least(), $body->bedWidthMm->least()];
        rsort($bed);
        // Two halves, parted across the thickness, each laid on its face.
        [$long, $wide] = self::piece($sides[0], $sides[1] ?? 0.0, $body->pieces ?? 1, $bed);
        $high = ($sides[2] ?? 0.0) / 2;
        $straight = min($bed[0] - $long, $bed[1] - $wide);
        $slant = self::slantMargin($long, $wide, $bed[0], $bed[1]);
        $margin = min(max($straight, $slant), $height->least() - $high);
        // Who has said in how many pieces it is printed means it.
        $verdict = $margin < 0.0 ? ($body->pieces === null ? Verdict::Tight : Verdict::Clash) : ($straight < 0.0 ? Verdict::Tight : Verdict::Fits);

        return $this->answer($verdict, [$line], fn (): Words => new Words(match (true) {
            $margin < 0.0 => sprintf(
                'Each half of %s is larger than the bed: split it into %d pieces and join them with pins and glue.',
                $line->name(),
                max(2, (int) (ceil($sides[0] / $bed[0]) * ceil(($sides[1] ?? 0.0) / $bed[1]))),
            ),
            $straight < 0.0 => "Each half of {$line->name()} goes onto the bed only slantwise.",
            default => "Each half of {$line->name()} goes onto the bed.",
        }, [
            new WorkingLine(
                'Each half',
                implode(' × ', array_map(self::n(...), [$long, $wide, $high])),
                'mm',
                $outside->estimated ? 'worked out' : $outside->size->lengthMm->source->value,
            ),
            new WorkingLine(
                'Bed and height',
                implode(' × ', array_map(self::n(...), [$bed[0], $bed[1], $height->least()])),
                'mm',
                $body->bedLengthMm->source->with($height->source) === Source::Typical ? Source::Typical->value : $body->bedLengthMm->source->value,
            ),
        ], self::n($margin).' mm to spare', [
            Remedy::byHand(
                sprintf(
                    'Split each half across its length, %s mm a piece, along a line where no control and no post sits.',
                    self::n($long / max(2, (int) ceil($long / $bed[0]))),
                ),
            ),
            $this->swap($line, 'Take a body made another way'), Remedy::brief('Allow less in the brief, so that it gets smaller'),
        ]));
    }

    /**
     * The sides of one piece, where so many lie beside and behind each other as suits the bed best.
     *
     * @param  array{float, float}|list<float>  $bed  falling
     * @return array{float, float} falling
     */
    private static function piece(float $long, float $wide, int $pieces, array $bed): array
    {
        $best = null;
        for ($across = 1; $across <= $pieces; $across++) {
            $one = [$long / $across, $wide / intdiv($pieces, $across)];
            $one = [max($one), min($one)];
            $margin = min($bed[0] - $one[0], $bed[1] - $one[1]);
            $best = $best === null || $margin > $best[0] ? [$margin, $one] : $best;
        }

        return $best[1] ?? [max($long, $wide), min($long, $wide)];
    }

    /** Room to spare when a rectangle is turned by the best angle; tried degree by degree. */
    private static function slantMargin(float $long, float $wide, float $bedLong, float $bedWide): float
    {
        $best = -INF;
        for ($degrees = 1; $degrees < 90; $degrees++) {
            $angle = deg2rad($degrees);
            $best = max($best, min($bedLong - $long * cos($angle) - $wide * sin($angle), $bedWide - $long * sin($angle) - $wide * cos($angle)));
        }

        return $best;
    }
}
