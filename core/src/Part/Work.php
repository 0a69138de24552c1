<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What fitting a part asks of the builder, and what a part brings to the bench itself. */
final readonly class Work
{
    /**
     * @param  list<string>  $skills
     * @param  list<string>  $tools
     * @param  list<string>  $consumables
     * @param  list<string>  $serves  the tools or consumables that this part is
     */
    public function __construct(public array $skills, public array $tools, public array $consumables, public array $serves) {}
}
