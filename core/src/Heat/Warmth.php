<?php

declare(strict_types=1);

namespace PocketPlot\Heat;

use PocketPlot\Build\Line;
use PocketPlot\Fit\BodySize;
use PocketPlot\Part\FigureRef;
use PocketPlot\Power\Missing;
use PocketPlot\Power\SupplyTree;

/** The air inside a build's body at its heaviest, and what it was worked out from. */
final readonly class Warmth
{
    private function __construct(
        public ?BoxAir $air,
        /** Turned into heat inside, at the heaviest. */
        public float $watts,
        public BodySize $outside,
        public float $ventsMm2,
        public bool $hasFan,
        public float $roomC,
        /** Without which nothing can be said. */
        public ?Missing $missing,
    ) {}

    /**
     * Null without a body, or without anything that draws power.
     *
     * @param  list<Line>  $cooling  lines whose part cools
     */
    public static function of(?Line $bodyLine, SupplyTree $tree, BodySize $outside, array $cooling, float $roomC): ?self
    {
        $sources = $tree->sources();
        if ($bodyLine === null || $sources === []) {
            return null;
        }
        // In a kit, its maker answers for the warmth; who has measured the hottest part knows more than any estimate.
        if ($bodyLine->part->kit !== null && $bodyLine->part->body?->ventMm2->isKnown() !== true) {
            return null;
        }
        $wall = $bodyLine->part->body?->wallMm;
        if ($wall?->isKnown() === true && $bodyLine->part->size->heightMm->isKnown() && $bodyLine->part->size->heightMm->most() <= 2 * $wall->most()) {
            // A single wall keeps no air in.
            return null;
        }
        $hasFan = array_filter($cooling, static fn (Line $line): bool => $line->part->cooling?->fan === true && $line->part->sits->takesRoom()) !== [];
        $open = static fn (float $watts, Missing $missing): self => new self(null, $watts, $outside, 0.0, $hasFan, $roomC, $missing);
        [$watts, $missing] = self::watts($tree, $sources);
        if ($missing !== null) {
            return $open(0.0, $missing);
        }
        $sides = $outside->size->sidesMm();
        if ($sides === []) {
            return $open($watts, match (true) {
                $outside->unsized !== null => new Missing($outside->unsized, FigureRef::of('size')),
                $bodyLine->part->body?->drawn === true => new Missing($bodyLine, FigureRef::of('body', 'wall')),
                default => new Missing($bodyLine, FigureRef::of('size')),
            });
        }
        $body = $bodyLine->part->body;
        if ($body !== null && ! $body->drawn && ! $body->ventMm2->isKnown()) {
            return $open($watts, new Missing($bodyLine, FigureRef::of('body', 'ventMm2')));
        }
        // Nobody has drawn vents into a body that is still to be drawn, unless it says so.
        $vents = $body === null || ! $body->ventMm2->isKnown() ? 0.0 : $body->ventMm2->least();

        return new self(BoxAir::of($sides, max(0.0, $watts), $vents, $hasFan, $roomC), $watts, $outside, $vents, $hasFan, $roomC, null);
    }

    /**
     * @param  list<Line>  $sources
     * @return array{float, ?Missing} watts that stay inside, and the first figure that is missing to know them
     */
    private static function watts(SupplyTree $tree, array $sources): array
    {
        $watts = 0.0;
        foreach ($sources as $source) {
            [$taken, , $missing] = $tree->wattsFrom($source);
            if ($missing !== []) {
                return [0.0, $missing[0]];
            }
            // A bank that is powered by another source is counted there.
            // The air warms over half an hour; ordinary play lasts that long, peaks do not.
            $watts += $tree->feedsInto($source) === [] ? $taken->usual() : 0.0;
        }
        foreach ($tree->feeds as $feed) {
            if (! $feed->line->part->sits->takesRoom() && $feed->line->part->pack === null) {
                $watts -= $feed->input->watts()->isKnown() ? $feed->input->watts()->usual() * $feed->line->quantity : 0.0;
            }
        }

        return [$watts, null];
    }
}
