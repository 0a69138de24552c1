<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

/** What was found for one finding, the best first. */
final readonly class Fixes
{
    /**
     * @param  list<Fix>  $clean  after which nothing about the build is worse
     * @param  list<Fix>  $trades  which leave something *tight*, or something to find out about the rest of the build
     */
    public function __construct(public array $clean, public array $trades) {}
}
