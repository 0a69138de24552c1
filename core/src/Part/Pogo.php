<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Spring pins that touch a board held over them by spacers. */
final readonly class Pogo
{
    public function __construct(public Figure $freeMm, public Figure $pressMm, public Figure $spacerMm) {}
}
