<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

final readonly class Storage
{
    public function __construct(public Figure $capacityGb, public string $card, public YesNo $soldWithGames = YesNo::Unknown) {}
}
