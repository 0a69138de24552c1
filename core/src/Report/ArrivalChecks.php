<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Appraisal;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Verdict;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/** What to look at when a parcel is opened, or before a second-hand thing is paid: what the build's verdicts rest on. */
final class ArrivalChecks
{
    private const MOST_TIGHT = 3;

    /** What rests on figures that one can hold against the thing itself. */
    public const TO_HOLD_AGAINST = [
        'body.fits-inside', 'body.stack-height', 'body.wall', 'body.travel', 'body.spacers', 'body.fasteners', 'body.cable-room', 'control.room',
        'power.supply-window', 'power.polarity',
    ];

    private const MOST_UNKNOWN = 3;

    /** @return list<string> sentences, what decides first */
    public static function of(Appraisal $appraisal, Line $line): array
    {
        $part = $line->part;
        $checks = [];
        foreach ($part->variantHas as $what => $which) {
            $checks[] = "The right variant? It has to be {$what}: {$which}.";
        }
        foreach ($part->variantWants as $what => $which) {
            $checks[] = "It is meant for {$what}: {$which}. Hold it against the one you have.";
        }
        if ($part->kit !== null && $part->kit->contains !== []) {
            $checks[] = 'In the box: '.implode(', ', $part->kit->contains).'. Tick each off before the parcel is put away.';
        }
        if ($part->packetOf > 1) {
            $checks[] = "A packet holds {$part->packetOf}; count them.";
        }
        $sides = $part->size;
        if ($part->sits->takesRoom() && $sides->hasAllSides()) {
            $figures = [$sides->lengthMm, $sides->widthMm, $sides->heightMm];
            $mm = implode(' × ', array_map(static fn (Figure $side): string => Number::says($side->usual()), $figures));
            $checks[] = "Measure it: it is reckoned with as {$mm} mm.";
        }
        $about = array_values(array_filter($appraisal->findings, static fn (Finding $one): bool => in_array($line->id, $one->lines, true)));
        $tight = array_values(array_filter($about, static fn (Finding $one): bool => $one->verdict === Verdict::Tight
            && in_array($one->rule, self::TO_HOLD_AGAINST, true)));
        foreach (array_slice($tight, 0, self::MOST_TIGHT) as $finding) {
            $checks[] = "There is little to spare: {$finding->says()}";
        }

        return [...$checks, ...self::unknown($about, $line), ...self::always($line)];
    }

    /**
     * @param  list<Finding>  $about
     * @return list<string>
     */
    private static function unknown(array $about, Line $line): array
    {
        $says = [];
        foreach ($about as $finding) {
            foreach ($finding->verdict === Verdict::Unmeasured ? $finding->waitsFor : [] as [$of, $figure]) {
                if ($of === $line->id && ! $figure->is('price') && ! $figure->is('rate')) {
                    $says[(string) $figure] = 'Not known yet: '.Measuring::name($figure).'. '.Measuring::how($figure);
                }
            }
        }

        return array_slice(array_values($says), 0, self::MOST_UNKNOWN);
    }

    /** @return list<string> */
    private static function always(Line $line): array
    {
        $checks = ['Label and size are those that were ordered; no cracks, bent pins, lifted pads or smell of smoke.'];
        if ($line->part->pack !== null) {
            $checks[] = 'A pack that is dented, swollen, leaking or far below its lowest volts is not charged: it goes back, or to where cells are taken in.';
        }

        return $checks;
    }
}
