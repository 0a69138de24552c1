<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Build\Build;
use PocketPlot\Build\FitAim;
use PocketPlot\File\BadFile;
use PocketPlot\File\FitFile;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Arranger;
use PocketPlot\Fit\Halves;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\ScadScript;
use PocketPlot\Fit\Shell;
use PocketPlot\Fit\Style;
use PocketPlot\Fit\Template;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Quantity\Number;
use PocketPlot\Report\FitReport;

/** The dry fit of a build file: where the parts lie, what does not hold, arrangements, the body to print. */
final class FitOfFile extends Command
{
    use ReadsFiles;

    private const FINE = 0;

    private const CLASHES = 1;

    private const OPEN = 2;

    private const SECONDS = 3.0;

    protected $signature = 'plot:fit {file : a .pocketplot.json file, or - for standard input}
        {--arrange : look for arrangements, the best of which counts}
        {--style= : free, cells-beside, cells-behind or cells-apart; all of them when left out}
        {--aim= : thickness, area, volume or outer}
        {--seconds= : to look for each} {--seed= : another beginning} {--write : write the places into the file}
        {--stl= : a folder for the halves to print} {--svg= : a folder for the sides at 1 : 1} {--scad= : a file for the script}
        {--json : print everything as JSON}';

    protected $description = 'Dry fit of a build file: 0 all well, 1 something clashes or finds no place, 2 something has no size or no place, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        $name = is_string($given) ? $given : '';
        try {
            $build = $this->buildOf($name);
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        }
        $aim = $this->option('aim');
        $style = $this->option('style');
        if ((is_string($aim) && FitAim::tryFrom($aim) === null) || (is_string($style) && Style::tryFrom($style) === null)) {
            return $this->unreadable(['Choose an aim of thickness, area, volume, outer; a style of free, cells-beside, cells-behind, cells-apart.']);
        }
        $build = is_string($aim) ? $build->withFit($build->fit->with(['aim' => FitAim::from($aim)])) : $build;
        $found = $this->option('arrange') === true ? $this->arranged($build, is_string($style) ? Style::from($style) : null) : [];
        foreach ($found as $one) {
            if (is_array($one)) {
                $this->unreadable(array_map(static fn (Piece $piece): string => "{$piece->name()} goes into the room in no way.", $one));

                return self::CLASHES;
            }
        }
        $best = self::best(self::only($found));
        if ($best !== null) {
            $split = FitReport::arrangement($build, $best)['split'];
            $build = $build->withFit($build->fit->with([
                'poses' => $best->poses,
                'split' => is_array($split) ? array_values(array_filter($split, is_string(...))) : [],
            ]));
        }
        $report = FitReport::of($build);
        if ($this->option('json') === true) {
            $this->printAsJson([
                ...$report->toArray(),
                'arrangements' => array_map(static fn (Arrangement $one): array => FitReport::arrangement($build, $one), self::only($found)),
            ]);
        } else {
            $this->printFit($report, self::only($found));
        }
        $this->write($name, $build, $report);

        return match (true) {
            $report->fitted->clashes() !== [] || ($best !== null && $best->lost !== []) => self::CLASHES,
            ! $report->fitted->isWhole(), $report->fitted->isOpen() => self::OPEN,
            default => self::FINE,
        };
    }

    /** @return list<Arrangement|list<Piece>> */
    private function arranged(Build $build, ?Style $only): array
    {
        $seconds = is_numeric($this->option('seconds')) ? (float) $this->option('seconds') : self::SECONDS;
        $seed = is_numeric($this->option('seed')) ? (int) $this->option('seed') : 1;
        $arranger = new Arranger(FitReport::inventory($build), $build->fit, $seed);

        return array_map(static function (Style $style) use ($arranger, $seconds): Arrangement|array {
            $end = microtime(true) + $seconds;

            return $arranger->arrange($style, static fn (): bool => microtime(true) < $end);
        }, $only === null ? $arranger->styles() : [$only]);
    }

    /**
     * @param  list<Arrangement>  $found
     */
    private static function best(array $found): ?Arrangement
    {
        $best = null;
        foreach ($found as $one) {
            $best = $best === null || [count($one->lost), $one->measure] < [count($best->lost), $best->measure] ? $one : $best;
        }

        return $best;
    }

    /**
     * @param  list<Arrangement|list<Piece>>  $found
     * @return list<Arrangement>
     */
    private static function only(array $found): array
    {
        return array_values(array_filter($found, static fn (mixed $one): bool => $one instanceof Arrangement));
    }

    /** @param  list<Arrangement>  $found */
    private function printFit(FitReport $report, array $found): void
    {
        $fitted = $report->fitted;
        $unit = $fitted->inventory->build->fit->aim->unit();
        foreach ($found as $one) {
            $this->say(sprintf(
                '%-28s %s %s, none below %s%s%s', $one->style->says(), Number::says($one->measure),
                $unit, Number::says($one->bound), $one->isProved ? ' (proved)' : '',
                $one->lost === [] ? '' : '; no place for '.implode(', ', array_map(static fn (Piece $piece): string => $piece->name(), $one->lost)),
            ));
        }
        foreach ($fitted->placed as $one) {
            $this->say(sprintf(
                '%-32s %7.1f %7.1f %7.1f  %s',
                $one->piece->name(),
                $one->box->x,
                $one->box->y,
                $one->box->z,
                implode(' × ', array_map(Number::says(...), $one->orientation->sides)),
            ));
        }
        foreach ($fitted->unplaced as $piece) {
            $this->say("no place yet: {$piece->name()}");
        }
        foreach ($fitted->inventory->unsized as $line) {
            $this->say("no size yet:  {$line->name()}");
        }
        if ($fitted->isBegun()) {
            $map = ThicknessMap::of($fitted);
            $this->say('Room inside: '.implode(' × ', array_map(Number::says(...), $fitted->insideMm)).' mm');
            $this->say('Decides the thickness: '.$map->saysDeciding().' ('.Number::says($map->deepMm).' mm)');
        }
        foreach ($report->toArray()['troubles'] as $trouble) {
            if (is_array($trouble) && is_string($trouble['verdict']) && is_string($trouble['says'])) {
                $this->say(sprintf('%-10s %s', $trouble['verdict'], $trouble['says']));
            }
        }
    }

    private function write(string $name, Build $build, FitReport $report): void
    {
        if ($this->option('write') === true && is_file($name)) {
            $document = (new Format(Format::BUILD, $this->schema('build')))->decode($this->textOf($name));
            $document['fit'] = FitFile::document($build->fit);
            // Two spaces a step, as all files of the project have.
            $text = preg_replace_callback(
                '/^ +/m',
                static fn (array $found): string => str_repeat(' ', intdiv(strlen($found[0]), 2)),
                Json::encode($document, JSON_PRETTY_PRINT),
            );
            file_put_contents($name, "{$text}\n");
        }
        $shell = Shell::of($report->fitted);
        [$stl, $svg, $scad] = [$this->option('stl'), $this->option('svg'), $this->option('scad')];
        if ($shell === null) {
            return;
        }
        if (is_string($stl) && $shell->isDrawn) {
            foreach ((new Halves($shell, $report->bedMm()))->meshes() as $half => $mesh) {
                $this->put("{$stl}/{$half}.stl", $mesh->stl("{$half}, made by Pocket Plot, millimetres"));
            }
        }
        if (is_string($scad) && $shell->isDrawn) {
            $this->put($scad, (new ScadScript($shell))->text());
        }
        $template = new Template($shell);
        if (is_string($svg)) {
            foreach ($template->sides() as $side) {
                $this->put("{$svg}/{$side}.svg", $template->svg($side));
            }
        }
    }

    private function put(string $path, string $text): void
    {
        if (! is_dir(dirname($path))) {
            mkdir(dirname($path), 0777, true);
        }
        file_put_contents($path, $text);
        $this->output->getErrorStyle()->writeln($path);
    }
}
