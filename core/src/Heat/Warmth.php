<?php

declare(strict_types=1);

namespace PocketPlot\Heat;

use PocketPlot\Build\Line;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Power\Missing;
use PocketPlot\Quantity\Number;

/** The air inside a build's body at its heaviest, worked out once for the rules about heat. */
final readonly class Warmth
{
    /** @param  list<WorkingLine>  $working */
    private function __construct(public ?BoxAir $air, public float $watts, public array $working, public ?Missing $missing) {}

    public static function of(Facts $facts): ?self
    {
        $bodyLine = $facts->bodyLine();
        $tree = $facts->supplyTree();
        $sources = $tree->sources();
        if ($bodyLine === null || $sources === []) {
            return null;
        }
        $watts = 0.0;
        foreach ($sources as $source) {
            [$taken, , $missing] = $tree->wattsFrom($source);
            // A bank that lives on another source is counted there.
            if ($missing !== []) {
                return new self(null, 0.0, [], $missing[0]);
            }
            $watts += $tree->feedsInto($source) === [] ? $taken->most() : 0.0;
        }
        foreach ($tree->feeds as $feed) {
            if (! $feed->line->part->sits->takesRoom() && $feed->line->part->pack === null) {
                $watts -= $feed->input->watts()->isKnown() ? $feed->input->watts()->most() * $feed->line->quantity : 0.0;
            }
        }
        $outside = $facts->bodySize();
        $sides = $outside->size->sidesMm();
        if ($sides === []) {
            return new self(null, $watts, [], $outside->unsized === null ? new Missing($bodyLine, $bodyLine->part->body?->drawn === true ? FigureRef::of('body', 'wall') : FigureRef::of('size')) : new Missing($outside->unsized, FigureRef::of('size')));
        }
        $body = $bodyLine->part->body;
        if ($body !== null && ! $body->drawn && ! $body->ventMm2->isKnown()) {
            return new self(null, $watts, [], new Missing($bodyLine, FigureRef::of('body', 'ventMm2')));
        }
        // Nobody has drawn vents into a body that is still to be drawn, unless it says so.
        $vents = $body === null || ! $body->ventMm2->isKnown() ? 0.0 : $body->ventMm2->least();
        $fans = array_filter($facts->with('cooling'), static fn (Line $line): bool => $line->part->cooling?->fan === true && $line->part->sits->takesRoom());
        $air = BoxAir::of($sides, max(0.0, $watts), $vents, $fans !== [], $facts->build->brief->roomC);

        return new self($air, $watts, [
            new WorkingLine('Turned into heat inside, at the heaviest', round($watts, 2), 'W', 'worked out'),
            new WorkingLine($outside->estimated ? 'Outside, about' : 'Outside', implode(' × ', array_map(Number::says(...), $sides)), 'mm', 'worked out'),
            new WorkingLine('Vents', $vents, 'mm²', $vents > 0.0 ? 'datasheet' : 'worked out'),
            new WorkingLine('Fan', $fans === [] ? 'none' : 'yes', '', 'worked out'),
            new WorkingLine('Room', $facts->build->brief->roomC, '°C', 'brief'),
            new WorkingLine('Air inside', round($air->celsius, 1), '°C', 'worked out'),
        ], null);
    }
}
