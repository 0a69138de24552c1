<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Part\Role;

/** One row of a spreadsheet as a line of a parts list. */
final readonly class SheetRow
{
    /**
     * @param  int  $row  as the spreadsheet counts it, from 1
     * @param  string  $name  "" when the row has none; then it is left out
     * @param  ?Role  $role  as the row, or the heading of its group, says it
     * @param  ?string  $price  of one, exact decimals; null when none is said
     * @param  string  $currency  "" when none is said
     * @param  string  $text  everything the row says of the part, to be read
     * @param  list<string>  $problems  what could not be taken, and why
     * @param  string  $leftOut  why the row is left out; "" when it is taken
     */
    public function __construct(
        public int $row,
        public string $name,
        public ?Role $role,
        public int $quantity,
        public ?string $price,
        public string $currency,
        public string $vendor,
        public string $maker,
        public string $link,
        public ?SupplyState $state,
        public ?Origin $origin,
        public string $note,
        public string $text,
        public array $problems,
        public string $leftOut,
    ) {}
}
