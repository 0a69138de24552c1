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

    /**
     * Ohm of a lead with its plugs; half-way between new and worn plugs unless it is said.
     *
     * @param  float  $worn  0 for new plugs, 1 for worn ones
     */
    public static function leadOhm(float $gaugeAwg, float $lengthMm, string $oneEnd = '', string $otherEnd = '', float $worn = 0.5): float
    {
        return self::ohm($gaugeAwg, $lengthMm) + self::contactsOhm($oneEnd, $otherEnd, $worn);
    }

    /** Ohm of both poles of both plugs of a lead. */
    public static function contactsOhm(string $oneEnd, string $otherEnd, float $worn): float
    {
        $ohm = 0.0;
        foreach ([$oneEnd, $otherEnd] as $connector) {
            [$new, $old] = Constants::CONTACT_MOHM[$connector] ?? Constants::CONTACT_OTHER_MOHM;
            $ohm += 2 * ($new + ($old - $new) * $worn) / 1000;
        }

        return $ohm;
    }
}
