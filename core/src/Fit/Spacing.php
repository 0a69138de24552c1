<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Brief;
use PocketPlot\Build\Margins;

/** Room that is wanted between parts, from the margins of the build; millimetres and shares. */
final readonly class Spacing
{
    public function __construct(
        public float $besideMm,
        public float $layerMm,
        public float $heatMm,
        public float $socketMm,
        public float $offsetMm,
        public float $cavityMm,
        public float $packingMost,
        public float $packingEasy,
    ) {}

    /** The same where cells may lie by what gets warm: close, and said so. */
    public function withoutHeat(): self
    {
        return new self(
            $this->besideMm, $this->layerMm, 0.0, $this->socketMm, $this->offsetMm, $this->cavityMm, $this->packingMost, $this->packingEasy,
        );
    }

    public static function of(Brief $brief): self
    {
        $margin = static fn (string $key): float => Margins::of($key, $brief->margins);

        return new self(
            $margin('beside-mm'), $margin('layer-mm'), $margin('heat-gap-mm'), $margin('socket-mm'),
            $margin('offset-mm'), $margin('cavity-mm'), $margin('packing-most'), $margin('packing-easy'),
        );
    }
}
