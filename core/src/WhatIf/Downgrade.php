<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Part\Part;

/**
 * How much a replacement gives away, in tenths of what the old part gave: pixels, energy, room,
 * controls, storage. Nought when it gives as much or more; a change of place counts ten.
 */
final class Downgrade
{
    public static function between(Part $old, Part $new): int
    {
        $share = 1.0;
        foreach (self::worth($old) as $what => $was) {
            $is = self::worth($new)[$what] ?? 0.0;
            $share = $was > 0.0 ? min($share, $is / $was) : $share;
        }

        return (int) round((1.0 - $share) * 10) + ($old->sits === $new->sits ? 0 : 10);
    }

    /** @return array<string, float> */
    private static function worth(Part $part): array
    {
        $controls = $part->controls;

        return array_filter([
            'pixels' => $part->panel === null ? 0.0 : (float) ($part->panel->widthPx * $part->panel->heightPx),
            'face' => $part->panel === null || $part->size->sidesMm() === [] ? 0.0 : $part->size->sidesMm()[0] * $part->size->sidesMm()[1],
            'energy' => $part->pack?->wattHours()->usual ?? 0.0,
            'room' => $part->body === null || $part->body->drawn ? 0.0 : $part->body->cavity()->volumeCm3() ?? 0.0,
            'controls' => $controls === null ? 0.0 : (float) ($controls->dPads + $controls->buttons + $controls->sticks + $controls->knobs),
            'storage' => $part->storage?->capacityGb->usual ?? 0.0,
            'current' => (float) max(
                [0.0, ...array_map(static fn ($output): float => $output->continuousMa->usual ?? 0.0, $part->isConverter() ? $part->outputs : [])],
            ),
        ]);
    }
}
