<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Quantity\Constants;

/** Ohm of copper wire. */
final class Wire
{
    /**
     * There and back: ρ × 2 × length ÷ cross-section. The cross-section follows from the American wire
     * gauge: d = 0.127 mm × 92^((36 − gauge) ÷ 39).
     */
    public static function ohm(float $gaugeAwg, float $lengthMm): float
    {
        $diameterM = Constants::AWG_BASE_MM / 1000 * Constants::AWG_STEP ** ((36.0 - $gaugeAwg) / 39.0);

        return Constants::COPPER_RESISTIVITY * 2 * $lengthMm / 1000 / (M_PI / 4 * $diameterM ** 2);
    }

    /** Ohm of a lead with a plug at each end. */
    public static function leadOhm(float $gaugeAwg, float $lengthMm): float
    {
        return self::ohm($gaugeAwg, $lengthMm) + Constants::CONTACTS_IN_LEAD * Constants::CONTACT_OHM;
    }
}
