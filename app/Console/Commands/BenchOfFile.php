<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Bench\OddOneOut;
use PocketPlot\Bench\RunTests;
use PocketPlot\Build\Build;
use PocketPlot\Build\Reading;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\Quantity\Number;
use PocketPlot\Report\BenchReport;

/** What was measured of a build file, beside what was expected: readings, run tests, the odd one out, the measurement that would tell. */
final class BenchOfFile extends Command
{
    use ReadsFiles;

    private const AGREES = 0;

    private const DISAGREES = 1;

    private const NOTHING_READ = 2;

    protected $signature = 'plot:bench {file : a .pocketplot.json file, or - for standard input} {--json : print everything as JSON}';

    protected $description = 'Readings of a build file beside what was predicted: 0 they agree, 1 one stands apart, 2 nothing was measured, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $build = $this->buildOf(is_string($given) ? $given : '');
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        }
        $facts = new Facts($build);
        $tests = (new RunTests($build, $facts->supplyTree(), $facts->leadOhms()))->compared();
        $odd = OddOneOut::among($tests);
        if ($this->option('json') === true) {
            $this->printAsJson(BenchReport::of($build));
        } else {
            $this->printReadings($build);
            foreach ($tests as $test) {
                $this->say(sprintf(
                    'ran %s h, %s: %s',
                    Number::says($test->measuredHours),
                    $test->predictedHours === null ? 'nothing could be predicted' : Number::says($test->predictedHours).' h were predicted',
                    self::of($build, $test->reading),
                ));
            }
            $this->printOdd($odd);
        }

        return match (true) {
            $build->readings === [] => self::NOTHING_READ,
            $odd !== null => self::DISAGREES,
            default => self::AGREES,
        };
    }

    private function printReadings(Build $build): void
    {
        if ($build->readings === []) {
            $this->say("{$build->name}: nothing was measured yet.");
        }
        foreach ($build->readings as $reading) {
            $this->say(sprintf('%s  %s: %s', $reading->takenOn, self::of($build, $reading), $reading->says()));
        }
    }

    private function printOdd(?OddOneOut $odd): void
    {
        if ($odd === null) {
            return;
        }
        $this->say('');
        $this->say($odd->says);
        foreach ($odd->explanations as $one) {
            $this->say("  {$one['says']}; it would take {$one['needs']}");
        }
        $this->say($odd->measure);
    }

    private static function of(Build $build, Reading $reading): string
    {
        return $reading->part === '' ? ($build->line($reading->line)?->name() ?? $reading->line) : $reading->part;
    }
}
