<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\RemedyKind;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\File\BadFile;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\WhatIf\Fix;
use PocketPlot\WhatIf\Need;
use PocketPlot\WhatIf\Needs;
use PocketPlot\WhatIf\RemedyFinder;

/** Appraises a build file without a database or a browser. */
final class CheckFile extends Command
{
    use ReadsFiles;

    private const NOTHING_WRONG = 0;

    private const CLASHES = 1;

    private const UNMEASURED = 2;

    protected $signature = 'plot:check {file : a .pocketplot.json file, or - for standard input} {--json : print the appraisal as JSON} {--today= : the day to reckon from, as year-month-day}';

    protected $description = 'Appraise a build file: 0 all well, 1 something clashes, 2 something is missing or unmeasured, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $build = $this->buildOf(is_string($given) ? $given : '');
            $today = $this->option('today');
            $appraisal = Appraisal::of($build, Day::of(is_string($today) ? $today : now()->toDateString()));
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        } catch (BadFigure $bad) {
            return $this->unreadable([$bad->getMessage()]);
        }
        $this->option('json') === true ? $this->printJson($appraisal) : $this->printText($appraisal);

        return match ($appraisal->verdict) {
            Verdict::Clash => self::CLASHES,
            Verdict::Missing, Verdict::Unmeasured => self::UNMEASURED,
            default => self::NOTHING_WRONG,
        };
    }

    private function printText(Appraisal $appraisal): void
    {
        $this->line("{$appraisal->build->name}: {$appraisal->verdict->value}");
        foreach ($appraisal->findings as $finding) {
            $this->line(sprintf('%-10s  %-22s  %s', $finding->verdict->value, $finding->rule, $finding->says()));
        }
    }

    private function printJson(Appraisal $appraisal): void
    {
        $finder = new RemedyFinder($this->library(), Day::of(now()->toDateString()));
        $needs = new Needs($appraisal->facts);
        $this->printAsJson([
            'verdict' => $appraisal->verdict->value,
            'vitals' => $appraisal->vitals->toArray(),
            'findings' => array_map(fn (Finding $finding): array => [
                'rule' => $finding->rule,
                'verdict' => $finding->verdict->value,
                'parts' => $finding->lines,
                'says' => $finding->says(),
                'working' => array_map(static fn (WorkingLine $line): array => $line->toArray(), $finding->working()),
                'remedies' => $this->remedies($finder, $appraisal, $finding),
                'needs' => array_map(static fn (Need $need): array => $need->toArray(), $needs->of($finding)),
            ], $appraisal->findings),
        ]);
    }

    /** @return list<array{kind: string, says: string, line: ?string, role: ?string, figure: ?string, part?: string, with?: list<string>, leaves?: list<array{verdict: string, says: string}>, from?: string, output?: string}> */
    private function remedies(RemedyFinder $finder, Appraisal $appraisal, Finding $finding): array
    {
        if ($finding->verdict === Verdict::Fits) {
            return [];
        }
        $found = $finder->search($appraisal, $finding);
        $tried = array_map(
            static fn (Fix $one): array => [
                'kind' => $one->edits->kind(),
                'says' => $one->edits->says($appraisal->build),
                'line' => $one->edits->lineId,
                'role' => $one->edits->role?->value,
                'figure' => null,
                ...($one->edits->part === null ? [] : ['part' => $one->edits->part->id]),
                ...($one->edits->with === [] ? [] : ['with' => array_map(static fn (Part $part): string => $part->id, $one->edits->with)]),
                ...($one->isClean() ? [] : ['leaves' => $one->leaves()]),
                ...($one->edits->settles === null ? [] : ['from' => $one->edits->settles->from, 'output' => $one->edits->settles->output]),
            ],
            [...$found->clean, ...$found->trades],
        );
        $byHand = array_map(static fn (Remedy $remedy): array => $remedy->toArray(), array_filter(
            $finding->remedies(),
            static fn (Remedy $remedy): bool => ! in_array($remedy->kind, [RemedyKind::Swap, RemedyKind::Add], true),
        ));

        return [...$tried, ...array_values($byHand)];
    }
}
