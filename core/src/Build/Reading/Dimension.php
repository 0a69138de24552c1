<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** One side, by callipers. */
final readonly class Dimension extends Reading
{
    public function __construct(TakenAs $taken, public Side $side, public float $millimetres)
    {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Dimension;
    }

    public function says(): string
    {
        return "{$this->side->says()}: ".Number::says($this->millimetres).' mm';
    }

    public function ownFields(): array
    {
        return ['figure' => $this->side->value, 'value' => $this->millimetres];
    }
}
