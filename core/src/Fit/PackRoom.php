<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;

/** What the body leaves for the pack: the room inside, filled as far as is easy, less the blocks of all other parts. */
final readonly class PackRoom
{
    /**
     * @param  ?float  $cm3  never below nought; null without a body, without a bound, or while a figure is missing
     * @param  ?Line  $wants  whose figure is missing
     */
    private function __construct(public ?float $cm3, public ?Line $wants = null, public ?FigureRef $figure = null) {}

    /**
     * @param  list<Line>  $inBody  lines whose parts have to find room
     * @param  string  $packLine  the line whose pack is in question
     * @param  float  $packing  share of the room that the parts' blocks may fill
     * @param  array{float, float, float}|null  $largestMm  what the brief allows, for a body that is drawn around its parts
     */
    public static function of(?Line $bodyLine, array $inBody, string $packLine, float $packing, ?array $largestMm): self
    {
        $body = $bodyLine?->part->body;
        if ($body === null || ($body->drawn && $largestMm === null)) {
            return new self(null);
        }
        $room = $body->drawn ? self::within($largestMm, $body->wallMm) : $body->cavity()->volumeCm3();
        if ($room === null) {
            return new self(null, $bodyLine, FigureRef::of('body', $body->drawn ? 'wall' : 'cavity'));
        }
        $others = 0.0;
        foreach ($inBody as $line) {
            $volume = $line->id === $packLine ? 0.0 : $line->part->size->volumeCm3();
            if ($volume === null) {
                return new self(null, $line, FigureRef::of('size'));
            }
            $others += $volume * $line->quantity;
        }

        return new self(max(0.0, $room * $packing - $others));
    }

    /**
     * Cubic centimetres inside a body of these outer sides.
     *
     * @param  list<float>  $sidesMm
     */
    private static function within(array $sidesMm, Figure $wallMm): ?float
    {
        return $wallMm->isKnown() ? array_product(array_map(static fn (float $side): float => max(0.0, $side - 2 * $wallMm->usual()), $sidesMm)) / 1000 : null;
    }
}
