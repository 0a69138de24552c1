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
use PocketPlot\Part\Typical;
use PocketPlot\Power\ChargeLeft;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;
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

    /** Shares of the charge: so much lost to a lead hurts, so little does not. */
    private const MUCH_CHARGE = 0.2;

    private const SOME_CHARGE = 0.1;

    /** Amps of a constant power behind a resistance: the fewer volts arrive, the more it draws. Twice the matched point is where nothing arrives any more. */
    private static function amps(float $watts, float $volts, float $ohm): float
    {
        if ($ohm <= 0.0) {
            return $watts / $volts;
        }
        $root = $volts ** 2 - 4 * $ohm * $watts;

        return $root < 0.0 ? $volts / (2 * $ohm) : ($volts - sqrt($root)) / (2 * $ohm);
    }

    /** By how much of the charge the drop leaves behind in the pack, more than the part's own window does. */
    private function byChargeLost(Line $pack, float $least, float $dropAtBest, float $drop): Verdict
    {
        $without = ChargeLeft::below($pack, $least);
        $atBest = ChargeLeft::below($pack, $least + $dropAtBest);
        $atWorst = ChargeLeft::below($pack, $least + $drop);

        return match (true) {
            $atBest > self::MUCH_CHARGE && $atBest > $without + self::SOME_CHARGE => Verdict::Clash,
            $atWorst > self::MUCH_CHARGE && $atWorst > $without + self::SOME_CHARGE / 2 => Verdict::Tight,
            default => Verdict::Fits,
        };
    }

    protected function ofFeed(Feed $feed, Giver $giver, Facts $facts): iterable
    {
        $join = $feed->join;
        if ($feed->line->id === $giver->line->id || $giver->output()?->wireless === true) {
            return;
        }
        if (! $giver->isRawPack && $giver->volts->isKnown() && $giver->volts->least() < ($feed->input->leastVolts() ?? 0.0) - 1e-9) {
            // Too little before any lead is power.supply-window's affair.
            return;
        }
        if ($join !== null && $join->gaugeAwg !== null && $join->lengthMm !== null) {
            $ohm = Wire::ohm($join->gaugeAwg, $join->lengthMm);
            yield $this->judge($feed, $giver, null, [$ohm, $ohm], [
                $this->count('Wire, gauge', $join->gaugeAwg, 'AWG', 'brief'), $this->count('Wire, length', $join->lengthMm, 'mm', 'brief'),
            ], $facts);

            return;
        }
        $lead = $facts->leadOf($feed);
        $cable = $lead?->part->cable;
        if ($lead === null || $cable === null) {
            return;
        }
        $gauge = Typical::or($cable->gaugeAwg, Typical::LEAD_AWG);
        $length = Typical::or($cable->lengthMm, Typical::LEAD_MM);
        // The thinner end of the band loses more; a larger gauge number is a thinner wire.
        yield $this->judge($feed, $giver, $lead, [
            Wire::leadOhm($gauge->least(), $length->least(), $cable->oneEnd, $cable->otherEnd, 0.0),
            Wire::leadOhm($gauge->most(), $length->most(), $cable->oneEnd, $cable->otherEnd, 1.0),
        ], [$this->row("{$lead->name()}, gauge", $gauge), $this->row("{$lead->name()}, length", $length)], $facts);
    }

    /**
     * @param  array{float, float}  $ohms  copper and plugs: thick, short and new; thin, long and worn
     * @param  list<WorkingLine>  $working
     */
    private function judge(Feed $feed, Giver $giver, ?Line $lead, array $ohms, array $working, Facts $facts): Finding
    {
        $line = $feed->line;
        $others = $lead === null ? [$giver->line] : [$giver->line, $lead];
        $open = $this->open($feed, $giver, $others, $working, $facts);
        if ($open !== null) {
            return $open;
        }
        $peak = $facts->demandOf($feed)[1];
        [$best, $worst] = $ohms;
        $amps = self::amps($peak->most(), $giver->volts->least(), $worst);
        $drop = $amps * $worst;
        $left = $giver->volts->least() - $drop;
        $leftAtBest = $giver->volts->least() - self::amps($peak->most(), $giver->volts->least(), $best) * $best;
        $working = [
            ...$working,
            $this->row('Copper there and back and plugs, new to worn', Figure::band($best * 1000, ($best + $worst) * 500, $worst * 1000, 'mΩ')),
            $this->row("{$line->name()}, peak", Figure::exactly($amps * 1000, 'mA')),
            $this->row('Lost on the way', Figure::exactly($drop, 'V')),
            $this->row("Left at {$line->name()}", Figure::exactly($left, 'V')),
            $this->row("{$line->name()} needs", $feed->input->volts),
        ];
        $warns = $feed->input->warnVolts;
        if ($warns->isKnown()) {
            $working[] = $this->row("{$line->name()} warns below", $warns);
        }
        // What is sold for one voltage surely bears a tenth less before it goes dark.
        $least = $feed->input->leastVolts() ?? $feed->input->volts->least();
        $verdict = match (true) {
            // A pack that is nearly empty by then has done its work.
            $giver->isRawPack => $this->byChargeLost($giver->line, $least, $giver->volts->least() - $leftAtBest, $drop),
            $leftAtBest < $least - 1e-9 => Verdict::Clash,
            $left < $least - 1e-9, $warns->isKnown() && $left < $warns->most() => Verdict::Tight,
            default => Verdict::Fits,
        };

        return $this->answer($verdict, [$line, ...$others], fn (): Words => new Words(sprintf(
            'At the peak %s V are lost in %s; %s V arrive at %s%s.',
            self::n($drop),
            $lead === null ? 'the wires' : $lead->name(),
            self::n($left),
            $line->name(),
            match ($verdict) {
                Verdict::Clash => ', too few to run',
                Verdict::Tight => $left < $least - 1e-9
                    ? ', too few once the plugs are worn or the pack is nearly empty'
                    : ', where it shows its low-voltage warning',
                default => '',
            }), $working, 'volts left against the window and the warning', [
                $lead === null ? Remedy::byHand('Take a thicker or shorter wire; both ways count.') : $this->swap($lead, 'Take a shorter or thicker lead'),
                $this->swap($giver->line),
            ]), ($feed->key() === $line->id ? '' : "{$feed->input->name}/").$giver->line->id);
    }

    /**
     * What has to be found out first.
     *
     * @param  list<Line>  $others
     * @param  list<WorkingLine>  $working
     */
    private function open(Feed $feed, Giver $giver, array $others, array $working, Facts $facts): ?Finding
    {
        $line = $feed->line;
        [, , $missing] = $facts->demandOf($feed);
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
        if (! $giver->volts->isKnown() || $giver->volts->least() <= 0.0) {
            return $this->unmeasured($giver->line, $giver->voltsRef(), [$line], $working, "{$feed->key()}/lead");
        }
        if (! $feed->input->volts->isKnown()) {
            return $this->unmeasured($line, FigureRef::supply($feed->input, 'volts'), $others, $working, "{$feed->key()}/lead");
        }

        return null;
    }
}
