<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\Vitals;

/**
 * What a change to a build would do: the appraisal after it laid beside the one before. Keeps only
 * what is asked of it, since dozens are held at once.
 */
final readonly class Effect
{
    /**
     * @param  Verdict  $verdict  of the change: a clash when it brings one, else the worst about the changed line
     * @param  list<string>  $settled  keys of clashes that are gone
     * @param  list<Finding>  $gone  those clashes, as they were
     * @param  list<string>  $newClashes
     * @param  list<Finding>  $concerning  findings about the changed line, worst first
     * @param  array<string, Verdict>  $verdicts  of all findings after the change, by key, the worst of each
     */
    private function __construct(
        public Verdict $verdict,
        public Verdict $whole,
        public Vitals $vitals,
        public array $settled,
        private array $gone,
        public array $newClashes,
        public array $concerning,
        public array $verdicts,
    ) {}

    /** @param  string  $lineId the line that is new or changed in `after` */
    public static function between(Appraisal $before, Appraisal $after, string $lineId): self
    {
        [$clashed, $lacked] = [$before->keysOf(Verdict::Clash), $before->keysOf(Verdict::Missing)];
        [$clashes, $lacks] = [$after->keysOf(Verdict::Clash), $after->keysOf(Verdict::Missing)];
        $was = [...$clashed, ...$lacked];
        $is = [...$clashes, ...$lacks];
        $concerning = $verdicts = [];
        foreach ($after->findings as $finding) {
            $verdicts[$finding->key()] ??= $finding->verdict;
            if ($finding->lines !== [] && in_array($lineId, $finding->lines, true)) {
                $concerning[] = $finding;
            }
        }
        // What was only missing and clashes now is new; what clashed and is only missing now is not.
        $newClashes = [...array_values(array_diff($clashes, $clashed)), ...array_values(array_diff($lacks, $was))];
        $verdict = $newClashes !== [] ? Verdict::Clash : ($concerning === [] ? Verdict::Fits : $concerning[0]->verdict);

        $settled = array_values(array_diff($was, $is));
        $gone = array_values(array_filter(array_map($before->finding(...), $settled)));

        return new self($verdict, $after->verdict, $after->vitals, $settled, $gone, $newClashes, $concerning, $verdicts);
    }

    /** @return list<string> sentences of what clashed or was missing and is not any more, at most so many */
    public function settles(int $most): array
    {
        return array_map(static fn (Finding $finding): string => $finding->says(), array_slice($this->gone, 0, $most));
    }

    /** @return array{verdict: string, says: string, settled: int, newClashes: int, vitals: array<string, mixed>} with the sentence of the worst about the changed line */
    public function toArray(): array
    {
        return $this->with($this->vitals->toArray());
    }

    /**
     * @param  bool  $withDay  the day takes a plan; null stands in for it
     * @return array{verdict: string, says: string, settled: int, newClashes: int, vitals: array<string, mixed>} as "Candidate" in the contract
     */
    public function weighed(bool $withDay): array
    {
        return $this->with([...$this->vitals->figures(), 'finish' => $withDay ? $this->vitals->day() : null]);
    }

    /**
     * @param  array<string, mixed>  $vitals
     * @return array{verdict: string, says: string, settled: int, newClashes: int, vitals: array<string, mixed>}
     */
    private function with(array $vitals): array
    {
        return [
            'verdict' => $this->verdict->value,
            'says' => $this->concerning === [] ? '' : $this->concerning[0]->says(),
            'settled' => count($this->settled),
            'newClashes' => count($this->newClashes),
            'vitals' => $vitals,
        ];
    }
}
