<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Part\Size;
use PocketPlot\Quantity\Figure;

/**
 * How large the finished thing is outside: the body's own size, or for a body drawn around its
 * parts an estimate. The estimate takes the largest face any part has as the face of the body, lets it
 * grow where the brief allows, and pours all parts, at the easy packing share, behind it.
 */
final readonly class BodySize
{
    private function __construct(public Size $size, public bool $estimated, public ?Line $unsized) {}

    /**
     * @param  list<Line>  $inBody  lines whose parts have to find room
     * @param  float  $packing  share of the room that the parts' blocks may fill
     * @param  array{float, float, float}|null  $largestMm  what the brief allows
     * @param  array{float, float, float}|null  $arrangedMm  outside, where an arrangement of all parts is there
     */
    public static function of(?Line $line, array $inBody, float $packing, ?array $largestMm, ?array $arrangedMm = null): self
    {
        if ($line === null) {
            return new self(Size::unknown(), false, null);
        }
        if ($line->part->body?->drawn !== true || $line->part->size->hasAllSides()) {
            return new self($line->part->size, false, $line->part->size->hasAllSides() ? null : $line);
        }
        if ($arrangedMm !== null) {
            $side = static fn (float $mm): Figure => Figure::exactly(round($mm, 1), 'mm');

            return new self(new Size($side($arrangedMm[0]), $side($arrangedMm[1]), $side($arrangedMm[2]), Figure::unknown('g')), false, null);
        }
        $long = $wide = $thick = $volume = 0.0;
        foreach ($inBody as $part) {
            $sides = $part->part->size->sidesMm();
            if ($sides === []) {
                return new self(Size::unknown(), true, $part);
            }
            $long = max($long, $sides[0]);
            $wide = max($wide, $sides[1]);
            $thick = max($thick, $sides[2]);
            $volume += $sides[0] * $sides[1] * $sides[2] * $part->quantity;
        }
        if ($long * $wide <= 0.0 || ! $line->part->body->wallMm->isKnown()) {
            return new self(Size::unknown(), true, null);
        }
        $walls = 2 * $line->part->body->wallMm->usual();
        if ($largestMm !== null) {
            // A face may grow as far as the brief allows before the body gets thicker than it allows.
            rsort($largestMm);
            $room = $volume / $packing / max(1.0, $largestMm[2] - $walls);
            $long = max($long, min($largestMm[0] - $walls, $room / $wide));
            $wide = max($wide, min($largestMm[1] - $walls, $room / $long));
        }
        $depth = max($thick, $volume / $packing / ($long * $wide));
        $side = static fn (float $mm): Figure => Figure::exactly(round($mm + $walls, 1), 'mm');

        return new self(new Size($side($long), $side($wide), $side($depth), Figure::unknown('g')), true, null);
    }
}
