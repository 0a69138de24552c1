<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\File\BadFile;
use PocketPlot\PowerReport;
use PocketPlot\Quantity\Number;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * The power of a build file without a database or a browser: tree, budget, run times, who gives up first, charge, sizing.
 *
 * @phpstan-type Report array<string, mixed>
 */
final class PowerOfFile extends Command
{
    use ReadsFiles;

    private const NOTHING_MISSING = 0;

    private const UNMEASURED = 2;

    /** Hours that sizing asks for when the brief wishes none. */
    private const HOURS = 4.0;

    protected $signature = 'plot:power {file : a .pocketplot.json file, or - for standard input} {--json : print everything as JSON} {--way= : the way of playing, by its name} {--hours= : hours to size for; the brief\'s when left out} {--cm3= : room for the pack in cubic centimetres}';

    protected $description = 'Supply tree, power budget, run time, charge and sizing of a build file: 0 all known, 2 something is unmeasured, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $build = $this->buildOf(is_string($given) ? $given : '');
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        }
        $names = array_map(static fn ($profile): string => $profile->name, $build->waysOfPlaying());
        $wanted = $this->option('way');
        $way = is_string($wanted) ? array_search($wanted, $names, true) : 0;
        if ($way === false) {
            return $this->unreadable(["There is no way of playing \"{$wanted}\"; it has ".implode(', ', $names).'.']);
        }
        $hours = $this->number('hours') ?? $build->brief->runTimeHours ?? self::HOURS;
        $cm3 = $this->number('cm3');
        if ($hours <= 0.0 || ($cm3 !== null && $cm3 <= 0.0)) {
            return $this->unreadable(['Hours and cubic centimetres have to be more than nought.']);
        }
        $report = new PowerReport($build, $way);
        $all = [...$report->toArray(), 'band' => $report->band(), 'sizing' => $report->sizing($hours, $this->library(), $cm3)];
        $this->option('json') === true ? $this->printAsJson($all) : $this->printText($build->name, $all);
        $missing = [];
        foreach (self::rows($all['sources'] ?? []) as $source) {
            $missing = [...$missing, ...self::rows($source['missing'] ?? [])];
        }

        return $missing === [] ? self::NOTHING_MISSING : self::UNMEASURED;
    }

    private function number(string $option): ?float
    {
        $value = $this->option($option);

        return is_string($value) && is_numeric($value) ? (float) $value : null;
    }

    /** @param  Report  $all */
    private function printText(string $name, array $all): void
    {
        $ways = self::rows($all['ways'] ?? []);
        $this->say("{$name}, played as \"".self::text($ways[is_int($all['way'] ?? null) ? $all['way'] : 0]['name'] ?? '').'"');
        foreach (self::rows($all['sources'] ?? []) as $source) {
            $this->say('');
            foreach (self::rows($source['missing'] ?? []) as $missing) {
                $this->say('unmeasured: '.self::text($missing['says'] ?? ''));
            }
            foreach (self::rows($source['assumed'] ?? []) as $assumed) {
                $this->say('stands in: '.self::text($assumed['says'] ?? ''));
            }
            $this->printTree(self::rows($source['nodes'] ?? []));
            $this->printBudget(is_array($source['budget'] ?? null) ? $source['budget'] : []);
            $this->printEnds($source);
            $this->printCharge(is_array($source['charge'] ?? null) ? $source['charge'] : []);
        }
        $this->printBand(is_array($all['band'] ?? null) ? $all['band'] : []);
        $this->printSizing(is_array($all['sizing'] ?? null) ? $all['sizing'] : []);
    }

    /** @param  list<Report>  $nodes */
    private function printTree(array $nodes): void
    {
        $depth = [];
        foreach ($nodes as $node) {
            $parent = $node['parent'] ?? null;
            $deep = is_string($parent) ? ($depth[$parent] ?? 0) + 1 : 0;
            $depth[self::text($node['id'] ?? '')] = $deep;
            $values = is_array($node['values'] ?? null) && is_array($node['values']['usual'] ?? null) ? $node['values']['usual'] : null;
            $label = str_repeat('  ', $deep).self::text($node['name'] ?? '').(($node['says'] ?? '') === '' ? '' : ' ('.self::text($node['says'] ?? '').')');
            $this->say(sprintf('%-52s %s', $label, $values === null ? '' : sprintf('%8s V %8s A %8s W', self::n($values['volts'] ?? null), self::n($values['amps'] ?? null), self::n($values['watts'] ?? null))));
        }
    }

    /** @param  Report  $budget */
    private function printBudget(array $budget): void
    {
        if ($budget === []) {
            return;
        }
        $this->say('');
        $this->say(sprintf('%-36s %8s %8s %8s %8s %8s %8s', 'watts', 'off', 'idle', 'usual', 'heavy', 'start', 'share'));
        foreach (self::rows($budget['rows'] ?? []) as $row) {
            $watts = is_array($row['watts'] ?? null) ? $row['watts'] : [];
            $this->say(sprintf('%-36s %8s %8s %8s %8s %8s %6s %%', self::text($row['name'] ?? ''), ...array_map(self::n(...), [$watts['off'] ?? null, $watts['idle'] ?? null, $watts['usual'] ?? null, $watts['heavy'] ?? null, $watts['start'] ?? null, is_float($row['share'] ?? null) ? $row['share'] * 100 : null])));
        }
        $total = is_array($budget['total'] ?? null) ? $budget['total'] : [];
        $this->say(sprintf('%-36s %8s %8s %8s %8s', 'at the source, losses included', ...array_map(self::n(...), [$total['off'] ?? null, $total['idle'] ?? null, $total['usual'] ?? null, $total['heavy'] ?? null])));
    }

    /** @param  Report  $source */
    private function printEnds(array $source): void
    {
        foreach (self::rows($source['ends'] ?? []) as $end) {
            if (($end['usualHours'] ?? null) !== null) {
                $this->say('');
                $this->say(sprintf('%s: %s to %s h, usually %s h', self::text($end['profile'] ?? ''), self::n($end['leastHours'] ?? null), self::n($end['mostHours'] ?? null), self::n($end['usualHours'])));
                $this->say('  first to give up: '.self::text($end['says'] ?? ''));
            }
        }
        foreach (is_array($source['guard'] ?? null) && is_array($source['guard']['says'] ?? null) ? $source['guard']['says'] : [] as $says) {
            $this->say('  '.self::text($says));
        }
    }

    /** @param  Report  $charge */
    private function printCharge(array $charge): void
    {
        if ($charge === []) {
            return;
        }
        $this->say('');
        $rest = is_array($charge['atRest'] ?? null) ? $charge['atRest'] : [];
        $this->say(sprintf('charge by %s: %s h to 80 %%, %s h to full; %s mA left over while played', self::text($charge['chargerName'] ?? ''), self::n($rest['hoursTo80'] ?? null), self::n($rest['hoursToFull'] ?? null), self::n($charge['netMa'] ?? null)));
    }

    /** @param  Report  $band */
    private function printBand(array $band): void
    {
        $middle = is_array($band['middle'] ?? null) ? array_values($band['middle']) : [];
        if (count($middle) !== 5) {
            return;
        }
        $this->say('');
        $this->say(sprintf('nine runs in ten last %s to %s h, half of them %s to %s h', self::n($middle[0]), self::n($middle[4]), self::n($middle[1]), self::n($middle[3])));
        foreach (array_slice(self::rows($band['sensitivities'] ?? []), 0, 6) as $one) {
            $this->say(sprintf('  %6s h  %s (%s %s h, %s %s h)', self::n($one['worthHours'] ?? null), self::text($one['what'] ?? ''), self::text($one['bad'] ?? ''), self::n($one['badHours'] ?? null), self::text($one['good'] ?? ''), self::n($one['goodHours'] ?? null)));
        }
    }

    /** @param  Report  $sizing */
    private function printSizing(array $sizing): void
    {
        if ($sizing === []) {
            return;
        }
        $this->say('');
        $this->say(sprintf('for %s h:', self::n($sizing['hours'] ?? null)));
        foreach (self::rows($sizing['needs'] ?? []) as $need) {
            if (($need['mah'] ?? null) !== null) {
                $this->say(sprintf('  %-22s %s in a row  %8s mAh  %8s Wh  about %s cm³', self::text($need['chemistry'] ?? ''), self::n($need['series'] ?? null), self::n($need['mah']), self::n($need['wattHours'] ?? null), self::n($need['cm3'] ?? null)));
            }
        }
        foreach (array_slice(self::rows($sizing['packs'] ?? []), 0, 10) as $pack) {
            if (($pack['does'] ?? false) === true) {
                $this->say(sprintf('  %s × %-38s %8s h  %s', self::n($pack['count'] ?? null), self::text($pack['name'] ?? ''), self::n($pack['hours'] ?? null), match ($pack['fits'] ?? null) {
                    true => 'goes into the body',
                    false => 'does not go into the body',
                    default => '',
                }));
            }
        }
        foreach (self::rows($sizing['within'] ?? []) as $one) {
            $this->say(sprintf('  in that room: %s × %s runs %s h', self::n($one['count'] ?? null), self::text($one['name'] ?? ''), self::n($one['hours'] ?? null)));
        }
    }

    private function say(string $line): void
    {
        $this->output->writeln(rtrim($line), OutputInterface::OUTPUT_RAW);
    }

    private static function n(mixed $value): string
    {
        return is_float($value) || is_int($value) ? Number::says((float) $value) : '–';
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $value): array
    {
        $rows = [];
        foreach (is_array($value) ? $value : [] as $row) {
            if (is_array($row)) {
                $rows[] = array_combine(array_map(strval(...), array_keys($row)), array_values($row));
            }
        }

        return $rows;
    }
}
