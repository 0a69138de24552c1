<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Check\Answers;
use PocketPlot\Check\Facts;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

final class RunTimeWanted implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('power.runtime', 'One charge lasts as long as the brief wants.',
            ['supply', 'supplies', 'outputs', 'pack', 'sockets', 'livesOn'],
            ['supply.drawMa', 'supply.drawAtV', 'output.efficiency', 'pack.capacityMah', 'pack.cellNominalV', 'pack.usableShare']);
    }

    public function check(Facts $facts): iterable
    {
        $wanted = $facts->build->brief->runTimeHours;
        $runTime = $facts->runTime();
        if ($wanted === null || $wanted <= 0.0 || $runTime->pack === null) {
            return;
        }
        $pack = $runTime->pack;
        $working = [
            $this->row("{$pack->name()}, energy at the cells", $runTime->wattHours),
            $this->row('Share of it that is used', $runTime->usableShare),
            $this->row('Taken at the pack, losses included', $runTime->watts),
        ];
        if (! $runTime->hours->isKnown()) {
            $missing = $runTime->missing[0] ?? null;
            yield $this->unmeasured($missing->line ?? $pack, $missing->figure ?? 'supply.drawMa', [$pack], $working, '', 'the run time is open');

            return;
        }
        $hours = $runTime->hours;
        $verdict = match (true) {
            $hours->least() >= $wanted => Verdict::Fits,
            $hours->usual() >= $wanted => Verdict::Tight,
            default => Verdict::Clash,
        };
        $remedies = $verdict === Verdict::Fits ? [] : [
            Remedy::swap($pack->id, $pack->role, 'Take a larger pack'),
            ...array_map(
                static fn ($line): Remedy => Remedy::swap($line->id, $line->role, "Take something thriftier for {$line->name()}"),
                [...$facts->filling(Role::Display), ...$facts->filling(Role::Board)],
            ),
            Remedy::brief(sprintf('Ask for %s h in the brief', Number::says(floor($hours->least() * 10) / 10))),
        ];
        yield $this->answer(
            $verdict, [$pack],
            sprintf('One charge lasts %s h in heavy play, %s h usually; wanted are %s h.', Number::says($hours->least()), Number::says($hours->usual()), Number::says($wanted)),
            [...$working, $this->row('Run time, heavy to idle', $hours), $this->row('Wanted', Figure::exactly($wanted, 'h', Source::Brief))],
            'watt-hours × usable share ÷ watts',
            $remedies,
        );
    }
}
