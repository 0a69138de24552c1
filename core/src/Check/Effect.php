<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Vitals;

/** A change to a build laid beside the build as it is. */
final readonly class Effect
{
    /**
     * @param  list<string>  $settled  keys of clashes that are gone
     * @param  list<string>  $newClashes
     * @param  list<Finding>  $concerning  findings about the changed line, worst first
     */
    private function __construct(
        public Build $build,
        public Appraisal $after,
        public Verdict $verdict,
        public array $settled,
        public array $newClashes,
        public array $concerning,
    ) {}

    /** @param  string  $lineId the line that is new or changed in `after` */
    public static function between(Appraisal $before, Appraisal $after, string $lineId): self
    {
        $was = $before->keysOf(Verdict::Clash);
        $is = $after->keysOf(Verdict::Clash);
        $concerning = array_values(array_filter($after->findings, static fn (Finding $finding): bool => in_array($lineId, $finding->lines, true)));
        $newClashes = array_values(array_diff($is, $was));
        $verdict = $newClashes !== [] ? Verdict::Clash : ($concerning === [] ? Verdict::Fits : $concerning[0]->verdict);

        return new self($after->build, $after, $verdict, array_values(array_diff($was, $is)), $newClashes, $concerning);
    }

    public function vitals(): Vitals
    {
        return $this->after->vitals;
    }
}
