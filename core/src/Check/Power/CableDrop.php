<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\FeedRule;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Rail;
use PocketPlot\Power\Wire;
use PocketPlot\Quantity\Figure;

final class CableDrop extends FeedRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.cable-drop',
            'What leads and plugs lose at the peak still leaves each part inside its window and above its low-voltage warning.',
            ['cable.gaugeAwg', 'cable.lengthMm', 'supply.volts', 'supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'supply.warnVolts', 'output.efficiency'],
        );
    }

    protected function ofFeed(Feed $feed, Rail $rail, Facts $facts): iterable
    {
        $join = $feed->join;
        if ($join !== null && $join->gaugeAwg !== null && $join->lengthMm !== null) {
            yield $this->judge($feed, $rail, null, Wire::ohm($join->gaugeAwg, $join->lengthMm), [
                $this->count('Wire, gauge', $join->gaugeAwg, 'AWG', 'brief'), $this->count('Wire, length', $join->lengthMm, 'mm', 'brief'),
            ], $facts);

            return;
        }
        $lead = $facts->leadOf($feed);
        $cable = $lead?->part->cable;
        if ($lead === null || $cable === null) {
            return;
        }
        if (! $cable->gaugeAwg->isKnown() || ! $cable->lengthMm->isKnown()) {
            yield $this->unmeasured(
                $lead,
                $cable->gaugeAwg->isKnown() ? 'cable.lengthMm' : 'cable.gaugeAwg',
                [$feed->line, $rail->line],
                [],
                $feed->key(),
                'what it loses is open',
            );

            return;
        }
        // The thinner end of the band loses more; a larger gauge number is a thinner wire.
        yield $this->judge($feed, $rail, $lead, Wire::leadOhm($cable->gaugeAwg->most(), $cable->lengthMm->most()), [
            $this->row("{$lead->name()}, gauge", $cable->gaugeAwg), $this->row("{$lead->name()}, length", $cable->lengthMm),
        ], $facts);
    }

    /** @param  list<WorkingLine>  $working */
    private function judge(Feed $feed, Rail $rail, ?Line $lead, float $ohm, array $working, Facts $facts): Finding
    {
        $line = $feed->line;
        $others = $lead === null ? [$rail->line] : [$rail->line, $lead];
        [, $peak, $missing] = $facts->demandOf($feed);
        if ($missing !== []) {
            return $this->unmeasured(
                $missing[0]->line,
                $missing[0]->figure,
                [$line, ...$others],
                $working,
                "{$feed->key()}/lead",
                'what its lead loses is open',
            );
        }
        if (! $rail->volts->isKnown() || $rail->volts->least() <= 0.0) {
            return $this->unmeasured($rail->line, $rail->voltsRef(), [$line], $working, "{$feed->key()}/lead");
        }
        if (! $feed->input->volts->isKnown()) {
            return $this->unmeasured($line, FigureRef::supply($feed->input, 'volts'), $others, $working, "{$feed->key()}/lead");
        }
        $amps = $peak->most() / $rail->volts->least();
        $drop = $amps * $ohm;
        $left = $rail->volts->least() - $drop;
        $working = [
            ...$working,
            $this->row('Copper and plugs together', Figure::exactly($ohm * 1000, 'mΩ')),
            $this->row("{$line->name()}, peak", Figure::exactly($amps * 1000, 'mA')),
            $this->row('Lost on the way', Figure::exactly($drop, 'V')),
            $this->row("Left at {$line->name()}", Figure::exactly($left, 'V')),
            $this->row("{$line->name()} needs", $feed->input->volts),
        ];
        $warns = $feed->input->warnVolts;
        if ($warns->isKnown()) {
            $working[] = $this->row("{$line->name()} warns below", $warns);
        }
        $verdict = self::byMargin($left - $feed->input->volts->least(), 0.0);
        $verdict = $verdict === Verdict::Fits && $warns->isKnown() && $left < $warns->most() ? Verdict::Tight : $verdict;

        return $this->answer($verdict, [$line, ...$others], fn (): Words => new Words(sprintf(
            'At the peak %s V are lost in %s; %s V arrive at %s%s.',
            self::n($drop),
            $lead === null ? 'the wires' : $lead->name(),
            self::n($left),
            $line->name(),
            match ($verdict) {
                Verdict::Clash => ', too few to run',
                Verdict::Tight => ', where it shows its low-voltage warning',
                default => '',
            }), $working, 'volts left against the window and the warning', [
                ...($lead === null ? [Remedy::byHand('Take a thicker or shorter wire; both ways count.')] : [$this->swap($lead, 'Take a shorter or thicker lead')]),
                $this->swap($rail->line),
            ]), ($feed->key() === $line->id ? '' : "{$feed->input->name}/").$rail->line->id);
    }
}
