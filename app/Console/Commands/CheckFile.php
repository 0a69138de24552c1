<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\RemedyFinder;
use PocketPlot\Check\RemedyKind;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;

/** Appraises a build file without a database or a browser. */
final class CheckFile extends Command
{
    private const NOTHING_WRONG = 0;

    private const CLASHES = 1;

    private const UNMEASURED = 2;

    private const UNREADABLE = 3;

    protected $signature = 'plot:check {file : a .pocketplot.json file, or - for standard input} {--json : print the appraisal as JSON} {--today= : the day to reckon from, as year-month-day}';

    protected $description = 'Appraise a build file: 0 all well, 1 something clashes, 2 something is unmeasured, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        $name = is_string($given) ? $given : '';
        $text = $name === '-' ? stream_get_contents(STDIN) : (is_file($name) ? file_get_contents($name) : false);
        if ($text === false) {
            return $this->unreadable(["There is no file \"{$name}\" that can be read."]);
        }
        try {
            $document = (new Format(Format::BUILD, $this->schema('build')))->decode($text);
            $today = $this->option('today');
            $appraisal = Appraisal::of(BuildReader::read($document), Day::of(is_string($today) ? $today : now()->toDateString()));
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        } catch (BadFigure $bad) {
            return $this->unreadable([$bad->getMessage()]);
        }
        $this->option('json') === true ? $this->printJson($appraisal) : $this->printText($appraisal);

        return match ($appraisal->verdict) {
            Verdict::Clash => self::CLASHES,
            Verdict::Unmeasured => self::UNMEASURED,
            default => self::NOTHING_WRONG,
        };
    }

    private function printText(Appraisal $appraisal): void
    {
        $this->line("{$appraisal->build->name}: {$appraisal->verdict->value}");
        foreach ($appraisal->findings as $finding) {
            $this->line(sprintf('%-10s  %-22s  %s', $finding->verdict->value, $finding->rule, $finding->says));
        }
    }

    private function printJson(Appraisal $appraisal): void
    {
        $finder = new RemedyFinder($this->library(), Day::of(now()->toDateString()));
        $this->output->writeln(json_encode([
            'verdict' => $appraisal->verdict->value,
            'vitals' => $appraisal->vitals->toArray(),
            'findings' => array_map(fn (Finding $finding): array => [
                'rule' => $finding->rule,
                'verdict' => $finding->verdict->value,
                'parts' => $finding->lines,
                'says' => $finding->says,
                'working' => array_map(static fn (WorkingLine $line): array => $line->toArray(), $finding->working),
                'remedies' => $this->remedies($finder, $appraisal, $finding),
            ], $appraisal->findings),
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }

    /** @return list<array{kind: string, says: string, line: ?string, role: ?string, figure: ?string, part?: string}> */
    private function remedies(RemedyFinder $finder, Appraisal $appraisal, Finding $finding): array
    {
        if ($finding->verdict === Verdict::Fits) {
            return [];
        }
        $tried = array_map(static fn (array $one): array => [...$one['remedy']->toArray(), 'says' => "{$one['remedy']->says}: {$one['part']->name}", 'part' => $one['part']->id], $finder->find($appraisal, $finding));
        $byHand = array_map(static fn (Remedy $remedy): array => $remedy->toArray(), array_filter(
            $finding->remedies,
            static fn (Remedy $remedy): bool => ! in_array($remedy->kind, [RemedyKind::Swap, RemedyKind::Add], true),
        ));

        return [...$tried, ...array_values($byHand)];
    }

    /** @return list<Part> the parts that ship with the application */
    private function library(): array
    {
        $document = (new Format(Format::LIBRARY, $this->schema('library')))->decode((string) file_get_contents(base_path('demo/library.pocketplot.json')));

        return array_values(BuildReader::parts(new Fields($document)));
    }

    private function schema(string $name): string
    {
        return (string) file_get_contents(base_path("core/schema/{$name}.schema.json"));
    }

    /** @param  list<string>  $problems */
    private function unreadable(array $problems): int
    {
        foreach ($problems as $problem) {
            $this->output->getErrorStyle()->writeln($problem, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
        }

        return self::UNREADABLE;
    }
}
