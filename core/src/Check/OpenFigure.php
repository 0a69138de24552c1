<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;

/** A figure that nobody knows yet, and the findings that wait for it. */
final readonly class OpenFigure
{
    /** @param  list<string>  $findings keys */
    private function __construct(public Line $line, public FigureRef $figure, public array $findings) {}

    /**
     * @param  list<Finding>  $findings
     * @return list<self> those that settle most first; prices after what decides whether it works at all
     */
    public static function among(array $findings, Build $build): array
    {
        $waiting = [];
        foreach ($findings as $finding) {
            // The list of what is open waits for nothing itself.
            $isOpen = $finding->verdict === Verdict::Unmeasured && ! ($finding->rule === 'whole.unmeasured' && $finding->ofWhole);
            foreach ($isOpen ? $finding->waitsFor : [] as [$line, $figure]) {
                // One look at the brief answers skills, tools and rates for every line.
                $key = in_array($figure->key(), Measuring::OF_BRIEF, true) ? (string) $figure : "{$line} {$figure}";
                $waiting[$key] ??= ['line' => $line, 'figure' => $figure, 'findings' => []];
                $waiting[$key]['findings'][] = $finding->key();
            }
        }
        $open = [];
        foreach ($waiting as $one) {
            $line = $build->line($one['line']);
            // Of what is only wanted there is nothing to measure.
            if ($line !== null && ! $line->part->isWanted) {
                $open[] = new self($line, $one['figure'], $one['findings']);
            }
        }
        usort($open, static fn (self $a, self $b): int => $a->isOfMoney() <=> $b->isOfMoney() ?: count($b->findings) <=> count($a->findings));

        return $open;
    }

    private function isOfMoney(): bool
    {
        return in_array($this->figure->key(), ['price', 'rate'], true);
    }

    /** @return array{line: string, figure: string, name: string, how: string, stands: string, findings: list<string>} */
    public function toArray(): array
    {
        return [
            'line' => $this->line->id,
            'figure' => (string) $this->figure,
            'name' => Measuring::name($this->figure),
            'how' => Measuring::how($this->figure),
            'stands' => WhereItStands::of($this->figure),
            'findings' => $this->findings,
        ];
    }
}
