<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** How much of a pack's charge lies below certain volts of the rested pack. */
final class ChargeLeft
{
    /** A share of the charge from 0 to 1; nought where the pack's volts are not known. */
    public static function below(Line $line, float $volts): float
    {
        $pack = $line->part->pack;
        if ($pack === null || ! $pack->volts()->isKnown()) {
            return 0.0;
        }
        $curve = Chemistry::openCircuitVolts($pack->chemistry, $pack->cellFullV->usual(), $pack->cellNominalV->usual(), $pack->cellEmptyV->usual());
        $last = count($curve) - 1;
        $cell = $volts / $pack->series;
        foreach ($curve as $point => $there) {
            if ($there >= $cell) {
                return $point / $last;
            }
        }

        return 1.0;
    }
}
