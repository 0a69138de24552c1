<?php

declare(strict_types=1);

namespace PocketPlot\Heat;

use PocketPlot\Quantity\Constants;

/**
 * How warm the air inside a closed body gets: watts ÷ (surface × 8 W/m²K + vents + fan). A first
 * estimate for planning; a thermometer inside for an hour tells the truth.
 */
final readonly class BoxAir
{
    private function __construct(public float $celsius, public float $wattsPerKelvin) {}

    /**
     * @param  list<float>  $sidesMm  outer size
     * @param  float  $ventMm2  all openings together
     */
    public static function of(array $sidesMm, float $watts, float $ventMm2, bool $fan, float $roomC): self
    {
        [$a, $b, $c] = [$sidesMm[0] / 1000, $sidesMm[1] / 1000, $sidesMm[2] / 1000];
        $conductance = 2 * ($a * $b + $a * $c + $b * $c) * Constants::BOX_W_PER_M2K
            + $ventMm2 * Constants::VENT_W_PER_MM2K
            + ($fan && $ventMm2 > 0.0 ? Constants::FAN_W_PER_K : 0.0);

        return new self($roomC + $watts / $conductance, $conductance);
    }
}
