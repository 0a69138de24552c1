<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** The contacts of a computer or controller board, and what each can be used for. */
final readonly class Pins
{
    /** @param  array<string, list<string>>  $does  pin => functions, "gpio" among them when it is free for anything */
    public function __construct(public Figure $logicV, public array $does, public ?Figure $absoluteMaxV = null) {}
}
