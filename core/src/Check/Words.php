<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** What a finding says to whoever reads it: made when it is read, since most are only counted. */
final readonly class Words
{
    /**
     * @param  string  $says  one sentence, the parts by name
     * @param  list<WorkingLine>  $working  each figure with its unit and source
     * @param  string  $comparison  what was held against what, and the margin
     * @param  list<Remedy>  $remedies
     */
    public function __construct(public string $says, public array $working = [], public string $comparison = '', public array $remedies = []) {}
}
