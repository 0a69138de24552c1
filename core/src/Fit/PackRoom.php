<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;

/** What the body leaves for the pack: the room inside, filled as far as is easy, less the blocks of all other parts. */
final class PackRoom
{
    /**
     * @param  list<Line>  $inBody  lines whose parts have to find room
     * @param  string  $packLine  the line whose pack is in question
     * @param  float  $packing  share of the room that the parts' blocks may fill
     * @param  array{float, float, float}|null  $largestMm  what the brief allows, for a body that is drawn around its parts
     * @return ?float cubic centimetres, never below nought; null without a body, or while a side or a wall is not known
     */
    public static function cm3(?Line $bodyLine, array $inBody, string $packLine, float $packing, ?array $largestMm): ?float
    {
        $body = $bodyLine?->part->body;
        if ($body === null) {
            return null;
        }
        if ($body->drawn) {
            if ($largestMm === null || ! $body->wallMm->isKnown()) {
                return null;
            }
            $walls = 2 * $body->wallMm->usual();
            $room = array_product(array_map(static fn (float $side): float => max(0.0, $side - $walls), $largestMm)) / 1000;
        } else {
            $room = $body->cavity()->volumeCm3();
        }
        $others = 0.0;
        foreach ($inBody as $line) {
            $volume = $line->id === $packLine ? 0.0 : $line->part->size->volumeCm3();
            if ($volume === null) {
                return null;
            }
            $others += $volume * $line->quantity;
        }

        return $room === null ? null : max(0.0, $room * $packing - $others);
    }
}
