<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Measuring;
use PocketPlot\File\BadFile;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Power\Missing;
use PocketPlot\Power\PackNeed;
use PocketPlot\Power\PowerBudget;
use PocketPlot\Power\Scatter;
use PocketPlot\Quantity\Number;
use PocketPlot\Report\PowerReport;
use PocketPlot\Report\SizingReport;
use PocketPlot\Report\SourceReport;

/** The power of a build file without a database or a browser: tree, budget, run times, who gives up first, charge, sizing. */
final class PowerOfFile extends Command
{
    use ReadsFiles;

    private const NOTHING_MISSING = 0;

    private const UNMEASURED = 2;

    /** Hours that sizing asks for when the brief wishes none. */
    private const HOURS = 4.0;

    /** Packs and sensitivities that are printed as text. */
    private const MOST_PACKS = 10;

    private const MOST_WORTHS = 6;

    protected $signature = 'plot:power {file : a .pocketplot.json file, or - for standard input} {--json : print everything as JSON} {--profile= : the way of playing, by its name} {--hours= : hours to size for; the brief\'s when left out} {--cm3= : room for the pack in cubic centimetres}';

    protected $description = 'Supply tree, power budget, run time, charge and sizing of a build file: 0 all known, 2 something is unmeasured, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $build = $this->buildOf(is_string($given) ? $given : '');
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        }
        $names = array_map(static fn (Profile $profile): string => $profile->name, $build->profilesOrDefaults());
        $wanted = $this->option('profile');
        $way = is_string($wanted) ? array_search($wanted, $names, true) : 0;
        if ($way === false) {
            return $this->unreadable(["There is no way of playing \"{$wanted}\"; it has ".implode(', ', $names).'.']);
        }
        $hours = $this->number('hours') ?? $build->brief->runTimeHours ?? self::HOURS;
        $cm3 = $this->number('cm3');
        if (! ($hours > 0.0) || ($cm3 !== null && ! ($cm3 > 0.0))) {
            return $this->unreadable(['Hours and cubic centimetres have to be numbers above nought.']);
        }
        $report = new PowerReport($build, $way);
        $sources = $report->sources();
        $scatter = $report->scatter();
        $sizing = $report->sizing($hours, $this->library(), $cm3);
        if ($this->option('json') === true) {
            $this->printAsJson([...$report->toArray(), 'band' => $scatter?->toArray(), 'sizing' => $sizing?->toArray()]);
        } else {
            $this->say("{$build->name}, played as \"{$names[$way]}\"");
            array_map($this->printSource(...), $sources);
            $this->printScatter($scatter);
            $this->printSizing($sizing);
        }

        return array_filter($sources, static fn (SourceReport $source): bool => $source->missing !== []) === [] ? self::NOTHING_MISSING : self::UNMEASURED;
    }

    /** Not a number at all becomes NaN, which no comparison lets through. */
    private function number(string $option): ?float
    {
        $value = $this->option($option);

        return is_string($value) ? (is_numeric($value) ? (float) $value : NAN) : null;
    }

    private function printSource(SourceReport $source): void
    {
        $this->say('');
        $name = static fn (Missing $missing): string => Measuring::name($missing->figure)." of {$missing->line->name()}";
        foreach ($source->missing as $missing) {
            $this->say("unmeasured: {$name($missing)}");
        }
        foreach ($source->assumed as $assumed) {
            $this->say("stands in: {$name($assumed)}");
        }
        $this->printTree($source);
        $this->printBudget($source->budget);
        $this->printEnds($source);
        $this->printCharge($source->charge);
    }

    private function printTree(SourceReport $source): void
    {
        $depth = [];
        foreach ($source->nodes as $node) {
            $depth[$node['id']] = $node['parent'] === null ? 0 : $depth[$node['parent']] + 1;
            $values = $node['values']['usual'] ?? null;
            $label = str_repeat('  ', $depth[$node['id']]).$node['name'].($node['says'] === '' ? '' : " ({$node['says']})");
            $this->say(
                sprintf('%-52s %s', $label, $values === null
                    ? ''
                    : sprintf('%8s V %8s A %8s W', self::n($values['volts']), self::n($values['amps']), self::n($values['watts']))),
            );
        }
    }

    private function printBudget(?PowerBudget $budget): void
    {
        if ($budget === null) {
            return;
        }
        $this->say('');
        $this->say(sprintf('%-36s %8s %8s %8s %8s %8s %8s', 'watts', 'off', 'idle', 'usual', 'heavy', 'start', 'share'));
        foreach ($budget->rows as $row) {
            $this->say(
                sprintf('%-36s %8s %8s %8s %8s %8s %6s %%', $row['name'], ...array_map(self::n(...), [...array_values($row['watts']), $row['share'] * 100])),
            );
        }
        $this->say(sprintf('%-36s %8s %8s %8s %8s', 'at the source, losses included', ...array_map(self::n(...), array_values($budget->total))));
    }

    private function printEnds(SourceReport $source): void
    {
        foreach ($source->ends as $ends) {
            if ($ends->usual !== null) {
                $this->say('');
                $this->say(
                    sprintf(
                        '%s: %s to %s h, usually %s h',
                        $ends->way,
                        self::n($ends->worst?->hours),
                        self::n($ends->best?->hours),
                        self::n($ends->usual->hours),
                    ),
                );
                $this->say('  first to give up: '.($ends->usual->end?->says() ?? 'nobody'));
            }
        }
        foreach ($source->guard->says ?? [] as $says) {
            $this->say("  {$says}");
        }
    }

    private function printCharge(?ChargePlan $plan): void
    {
        if ($plan !== null) {
            $this->say('');
            $this->say(
                sprintf(
                    'charge by %s%s: %s h to 80 %%, %s h to full; %s mA left over while played',
                    $plan->path->line->name(),
                    $plan->path->isInSun() ? ', in full sun' : '',
                    self::n($plan->atRest?->hoursTo80),
                    self::n($plan->atRest?->hoursToFull),
                    self::n($plan->netMa),
                ),
            );
        }
    }

    private function printScatter(?Scatter $scatter): void
    {
        if ($scatter === null) {
            return;
        }
        [$least, $low, , $high, $most] = $scatter->middle();
        $this->say('');
        $this->say(sprintf('nine runs in ten last %s to %s h, half of them %s to %s h', ...array_map(self::n(...), [$least, $most, $low, $high])));
        foreach (array_slice($scatter->sensitivities, 0, self::MOST_WORTHS) as $one) {
            $this->say(
                sprintf(
                    '  %6s h  %s (%s %s h, %s %s h)',
                    self::n($one->worth()),
                    $one->what,
                    $one->bad,
                    self::n($one->badHours),
                    $one->good,
                    self::n($one->goodHours),
                ),
            );
        }
    }

    private function printSizing(?SizingReport $sizing): void
    {
        if ($sizing === null) {
            return;
        }
        $this->say('');
        $this->say(sprintf('for %s h:', self::n($sizing->hours)));
        foreach (array_filter($sizing->needs, static fn (PackNeed $need): bool => $need->ampHours !== null) as $need) {
            $this->say(
                sprintf(
                    '  %-22s %dS  %8s mAh  %8s Wh  about %s cm³',
                    $need->chemistry,
                    $need->series,
                    self::n($need->ampHours * 1000),
                    self::n($need->wattHours),
                    self::n($need->litres * 1000),
                ),
            );
        }
        foreach (array_slice($sizing->choices, 0, self::MOST_PACKS) as $choice) {
            if ($choice->does) {
                $this->say(sprintf('  %d × %-38s %8s h  %s', $choice->count, $choice->part->name, self::n($choice->reached?->hours), match ($choice->fits) {
                    true => 'goes into the body',
                    false => 'does not go into the body',
                    null => '',
                }));
                array_map(fn (string $clash) => $this->say("      clash: {$clash}"), $choice->clashes);
            }
        }
        if ($sizing->left->wants !== null && $sizing->left->figure !== null) {
            $this->say('the room that the body leaves is open: nobody knows the '.Measuring::name($sizing->left->figure)." of {$sizing->left->wants->name()}");
        }
        if ($sizing->roomCm3 === null) {
            return;
        }
        $this->say(sprintf('in %s cm³%s:', self::n($sizing->roomCm3), $sizing->roomCm3 === $sizing->left->cm3 ? ', which the body leaves' : ''));
        $sizing->within === [] && $this->say('  nothing of the library runs it without a clash');
        foreach ($sizing->within as $one) {
            $this->say(sprintf('  %d × %-38s %8s h', $one['count'], $one['part']->name, self::n($one['hours'])));
        }
    }

    private static function n(?float $value): string
    {
        return $value === null || ! is_finite($value) ? '–' : Number::says($value);
    }
}
