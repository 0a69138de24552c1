<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\RailRule;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Power\Missing;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

final class RailCurrent extends RailRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.rail-current',
            'The loads on each rail, at their heaviest and at their peak, stay within what its giver can deliver.',
            ['supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'output.volts', 'output.continuousMa', 'output.peakMa', 'output.efficiency'],
        );
    }

    protected function ofRail(Rail $rail, Facts $facts): iterable
    {
        // What comes straight from the cells is power.source-current's affair.
        if (! $rail->isRawPack) {
            yield $this->judge($rail, $facts->margin('rail-share'), $facts->margin('usual-share'));
        }
    }

    private function judge(Rail $rail, float $tightAt, float $usualTightAt): Finding
    {
        $working = $this->working($rail);
        $need = $rail->currentMa();
        // What is known may be too much already, whatever the peaks are.
        $isTooMuch = $need->isKnown() && $rail->continuousMa->isKnown() && ! $rail->continuousMa->source->isPencil()
            && ! $need->source->isPencil() && $need->most() > $rail->continuousMa->least();
        if ($rail->missing !== [] && ! $isTooMuch) {
            return $this->missing($rail, $rail->missing, $working);
        }
        $peak = $rail->peakNeedMa() ?? ($isTooMuch ? $need->most() : null);
        if (! $need->isKnown() || $peak === null) {
            return $this->unmeasured($rail->line, FigureRef::of('output', 'volts', $rail->name), $rail->loads, $working, $rail->name);
        }
        $working[] = $this->row('Together, idle to heavy', $need);
        $working = $rail->missing === [] ? [...$working, $this->row('Together, all peaks at once', Figure::exactly($peak, 'mA'))] : $working;
        $working[] = $this->row("{$rail->says()}, continuous", $rail->continuousMa);
        $isOpen = ! $rail->continuousMa->isKnown()
            || ($rail->continuousMa->source === Source::Typical && max($need->most(), $peak) > $rail->continuousMa->least() * $tightAt);
        if ($isOpen) {
            // Beyond what is usual, only its maker knows.
            return $this->unmeasured(
                $rail->line,
                FigureRef::of('output', 'continuousMa', $rail->name),
                $rail->loads,
                array_slice($working, 0, -1),
                $rail->name,
            );
        }
        $share = $rail->continuousMa->least() > 0.0 ? $need->most() / $rail->continuousMa->least() : INF;
        // A peak within the continuous rating needs no peak rating; and too much for hours is too much, whatever it gives for a moment.
        $needsPeak = $rail->missing === [] && $peak > $rail->continuousMa->least() && ($rail->peakMa->isKnown() || $share <= 1.0);
        if ($needsPeak && ! $rail->peakMa->isKnown()) {
            return $this->unmeasured($rail->line, FigureRef::of('output', 'peakMa', $rail->name), $rail->loads, $working, $rail->name);
        }
        if ($needsPeak) {
            $working[] = $this->row("{$rail->says()}, short peak", $rail->peakMa);
        }
        $usual = $rail->continuousMa->least() > 0.0 ? $need->usual() / $rail->continuousMa->least() : INF;
        $verdict = match (true) {
            $share > 1.0, $needsPeak && $peak > $rail->peakMa->least() => Verdict::Clash,
            $share > $tightAt, $usual > $usualTightAt => Verdict::Tight,
            default => Verdict::Fits,
        };

        return $this->answer(
            $verdict,
            [$rail->line, ...$rail->loads],
            fn (): Words => new Words(sprintf('The loads of %s take up to %s mA%s; it gives %s mA%s.',
                $rail->says(),
                Number::says($need->most()),
                $peak > $need->most() + 0.5 ? ', '.Number::says($peak).' mA at the peak' : '',
                Number::says($rail->continuousMa->least()),
                $needsPeak ? ', '.Number::says($rail->peakMa->least()).' mA for a moment' : ''), $working, sprintf(
                    '%s %% of the continuous rating, %s %% in ordinary play; above %s %% and %s %% counts as tight',
                    Number::says($share * 100),
                    Number::says($usual * 100),
                    Number::says($tightAt * 100),
                    Number::says($usualTightAt * 100),
                ), $verdict === Verdict::Fits ? [] : $this->remedies($rail)), $rail->name);
    }

    /** @return list<WorkingLine> */
    private function working(Rail $rail): array
    {
        $working = [$this->row("{$rail->says()} gives", $rail->volts)];
        foreach ($rail->loads as $load) {
            $supply = $load->part->supply;
            if ($supply !== null && ! ($load->part->isConverter() && ! $supply->drawMa->isKnown())) {
                $times = $load->quantity === 1 ? '' : "{$load->quantity} × ";
                $working[] = $this->row($times.$load->name(), $supply->watts()->times($load->quantity));
            }
        }

        return $working;
    }

    /**
     * @param  non-empty-list<Missing>  $missing
     * @param  list<WorkingLine>  $working
     */
    private function missing(Rail $rail, array $missing, array $working): Finding
    {
        return $this->unmeasured(
            $missing[0]->line,
            $missing[0]->figure,
            [$rail->line],
            $working,
            $rail->line->id.'/'.$rail->name,
            "the load on {$rail->says()} is open",
        );
    }

    /** @return list<Remedy> */
    private function remedies(Rail $rail): array
    {
        return [
            Remedy::swap($rail->line->id, $rail->line->role, "Take another part for {$rail->line->name()}"),
            Remedy::add(Role::Regulator, 'Share the loads with a second regulator'),
            ...array_map(
                static fn (Line $load): Remedy => Remedy::swap($load->id, $load->role, "Take something thriftier for {$load->name()}"),
                $rail->loads,
            ),
        ];
    }
}
