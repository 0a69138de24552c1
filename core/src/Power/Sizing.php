<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Part\Part;
use PocketPlot\Quantity\Constants;

/** The pack that a wished run time asks for, by chemistry and cells in series, found by emptying trial packs. */
final class Sizing
{
    /** Share of the printed capacity that new cells really give; our estimate, as makers' sheets and testers agree to a tenth. */
    public const USABLE = 0.9;

    private const MOST_SERIES = 4;

    /** Amp-hours beyond which nobody carries it. */
    private const MOST_AH = 500.0;

    /** Share of the wish within which the search ends. */
    private const CLOSE = 0.002;

    /**
     * @param  list<Part>  $library
     * @return list<PackNeed> what runs first, smallest first
     */
    public static function needs(Circuit $circuit, float $hours, array $library): array
    {
        $own = $circuit->cells[0];
        $isSealed = $circuit->source->part->pack?->sealed === true;
        $needs = [];
        foreach ($isSealed ? [$own->chemistry] : Chemistry::all() as $chemistry) {
            foreach ($isSealed ? [$own->series] : range(1, self::MOST_SERIES) as $series) {
                $needs[] = self::need($circuit, $chemistry, $series, $hours, $library);
            }
        }
        usort($needs, static fn (PackNeed $a, PackNeed $b): int => [$a->ampHours === null, $a->litres ?? 0.0] <=> [$b->ampHours === null, $b->litres ?? 0.0]);

        return $needs;
    }

    /** @param  list<Part>  $library */
    private static function need(Circuit $circuit, string $chemistry, int $series, float $hours, array $library): PackNeed
    {
        [, $nominal] = Chemistry::cellVolts($chemistry);
        $trial = static fn (float $ampHours): RunEnd => Discharge::hours($circuit->on(self::cells($circuit, $chemistry, $series, $ampHours)));
        $most = $trial(self::MOST_AH);
        $tooHigh = $circuit->on(self::cells($circuit, $chemistry, $series, self::MOST_AH))->tooHigh();
        if ($tooHigh !== null || $most->hours < $hours) {
            return new PackNeed($chemistry, $series, null, null, null, null, ($tooHigh ?? $most->end)?->says());
        }
        // The time grows all but straight with the size, so a few proportions find it.
        $low = 0.0;
        $high = self::MOST_AH;
        $ampHours = max(0.01, self::MOST_AH * $hours / max($hours, $most->hours));
        for ($step = 0; $step < 24; $step++) {
            $is = $trial($ampHours)->hours;
            if (abs($is - $hours) <= self::CLOSE * $hours) {
                break;
            }
            if ($is < $hours) {
                $low = $ampHours;
            } else {
                $high = $ampHours;
            }
            $next = $is > 0.0 ? $ampHours * $hours / $is : ($low + $high) / 2;
            $ampHours = $next > $low && $next < $high ? $next : ($low + $high) / 2;
        }
        $wattHours = $ampHours * $nominal * $series;

        return new PackNeed(
            $chemistry,
            $series,
            $ampHours,
            $wattHours,
            $wattHours / Chemistry::wattHoursPerLitre($chemistry),
            self::outOf($chemistry, $ampHours, $library),
            null,
        );
    }

    private static function cells(Circuit $circuit, string $chemistry, int $series, float $ampHours): PackModel
    {
        [$full, $nominal, $empty] = Chemistry::cellVolts($chemistry);
        $coulombs = $ampHours * 3600;

        return new PackModel(
            $circuit->source, $chemistry, $series, $coulombs * self::USABLE, $coulombs, Chemistry::cellOhm($chemistry, $ampHours) * $series,
            $full, $nominal, $empty, max($empty, Constants::CELL_FLOOR_V[$chemistry] ?? $empty) * $series, null,
        );
    }

    /**
     * The largest single cell of the library, and how many rows of it hold so much.
     *
     * @param  list<Part>  $library
     * @return array{name: string, parallel: int}|null
     */
    private static function outOf(string $chemistry, float $ampHours, array $library): ?array
    {
        $best = null;
        foreach ($library as $part) {
            $pack = $part->pack;
            if ($pack === null
                || $pack->sealed
                || $pack->chemistry !== $chemistry
                || $pack->series !== 1
                || ! $pack->capacityMah->isKnown()
                || $pack->capacityMah->usual() <= 0.0) {
                continue;
            }
            $rows = (int) ceil($ampHours * 1000 / $pack->capacityMah->usual() - 1e-9);
            $over = $rows * $pack->capacityMah->usual();
            if ($rows <= 6 && ($best === null || [$rows, $over] < [$best[1], $best[2]])) {
                $best = [$part->name, $rows, $over];
            }
        }

        return $best === null ? null : ['name' => $best[0], 'parallel' => $best[1]];
    }
}
