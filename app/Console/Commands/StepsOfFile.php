<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Appraisal;
use PocketPlot\Assembly\Evening;
use PocketPlot\Assembly\Link;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\PlanView;
use PocketPlot\Assembly\Step;
use PocketPlot\Build\Line;
use PocketPlot\File\BadFile;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\Report\FaultReport;

/** The steps of a build file in an order that works: evenings, gates, the chain that decides the day. */
final class StepsOfFile extends Command
{
    use ReadsFiles;

    private const FINE = 0;

    private const CIRCLES = 1;

    private const UNDATED = 2;

    protected $signature = 'plot:steps {file : a .pocketplot.json file, or - for standard input} {--json : print everything as JSON} {--today= : the day to reckon from, as year-month-day}';

    protected $description = 'Steps of a build file in their order: 0 all well, 1 some wait for each other, 2 nobody knows when something comes, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $today = $this->option('today');
            $appraisal = Appraisal::of($this->buildOf(is_string($given) ? $given : ''), Day::of(is_string($today) ? $today : now()->toDateString()));
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        } catch (BadFigure $bad) {
            return $this->unreadable([$bad->getMessage()]);
        }
        $plan = $appraisal->plan;
        if ($this->option('json') === true) {
            $this->printAsJson([...(new PlanView($plan, $appraisal->facts))->whole(), 'faults' => FaultReport::all($appraisal)]);
        } else {
            $this->printPlan($appraisal);
        }

        return match (true) {
            $plan->links()->circles !== [] => self::CIRCLES,
            $plan->finish() === null => self::UNDATED,
            default => self::FINE,
        };
    }

    private function printPlan(Appraisal $appraisal): void
    {
        $plan = $appraisal->plan;
        foreach ($plan->evenings() as $evening) {
            $this->printEvening($evening);
        }
        foreach ($plan->timetable()->undated as $at) {
            $waits = implode(', ', array_map(static fn (Line $line): string => $line->name(), $plan->open()[$at]->waitsFor()));
            $this->say("no day     {$plan->open()[$at]->title}".($waits === '' ? '' : ", waits for {$waits}"));
        }
        $chain = $plan->chain();
        $this->say('');
        $this->say('What decides the day: '.implode(
            ' > ',
            array_filter([$chain['parcel']?->name(), ...array_map(static fn (Step $step): string => $step->title, $chain['steps'])]),
        ));
        $this->say('Finished: '.($plan->finish() ?? 'nobody knows yet'));
        foreach ($plan->links()->circles as $circle) {
            $this->say('Steps wait for each other: '.implode(
                ' > ',
                array_map(static fn (Link $link): string => "{$link->from} ({$link->why})", $circle->links),
            ));
        }
    }

    private function printEvening(Evening $evening): void
    {
        $this->say("{$evening->on}  {$evening->minutes} min");
        foreach ($evening->arrives as $line) {
            $this->say("           has to be there: {$line->name()}");
        }
        foreach ($evening->steps as $step) {
            $this->say(sprintf('  %4d min  %s', $step->minutes->usual, $step->title));
            foreach ($step->gate->measures ?? [] as $measure) {
                $this->say('            test: '.self::asks($measure));
            }
        }
        foreach ($evening->beside as $one) {
            $this->say("           beside: {$one}");
        }
    }

    private static function asks(Measure $measure): string
    {
        return $measure->what.($measure->isYes() ? '' : ": {$measure->passes()}");
    }
}
