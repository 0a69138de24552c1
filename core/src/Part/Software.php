<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** What has to be written before a board starts, and where: a kind of card, or "built-in". */
final readonly class Software
{
    public function __construct(public Figure $imageGb, public string $card) {}
}
