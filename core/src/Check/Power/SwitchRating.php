<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PowerSwitch;
use PocketPlot\Part\Typical;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

final class SwitchRating extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.switch-rating',
            'Each switch in the pack\'s lead is made for the volts and amps it breaks.',
            ['switch.ratingMa', 'switch.ratingV', 'supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'output.efficiency', 'pack.volts'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('switch');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $source = $facts->sources()[0] ?? null;
        $switch = $line->part->switch;
        if ($switch !== null && $switch->carriesPower && $source !== null) {
            yield $this->judge($line, $switch, $source, $facts);
        }
    }

    private function judge(Line $line, PowerSwitch $switch, Line $source, Facts $facts): Finding
    {
        if (! $switch->ratingMa->isKnown()) {
            return $this->unmeasured($line, 'switch.ratingMa', [$source]);
        }
        $working = [$this->row("{$line->name()} is made for", $switch->ratingMa), $this->row('and for', Typical::or($switch->ratingV, Typical::SWITCH_V))];
        [, $peak, $missing] = $facts->wattsFrom($source);
        if ($missing !== []) {
            return $this->unmeasured(
                $missing[0]->line,
                $missing[0]->figure,
                [$line, $source],
                $working,
                "switch/{$line->id}",
                "the current through {$line->name()} is open",
            );
        }
        $rail = array_values(array_filter($facts->railsOf($source), static fn (Rail $rail): bool => $rail->loads !== []))[0];
        if (! $rail->volts->isKnown() || $rail->volts->least() <= 0.0) {
            return $this->unmeasured($source, $rail->voltsRef(), [$line], $working, "switch/{$line->id}");
        }
        // Below what any power switch is made for, nobody asks for its volts.
        $ratingV = Typical::or($switch->ratingV, Typical::SWITCH_V);
        if ($rail->volts->most() > $ratingV->least() && ! $switch->ratingV->isKnown()) {
            return $this->unmeasured($line, 'switch.ratingV', [$source], [$working[0]], 'volts');
        }
        $paths = min(
            $switch->poles,
            max(1, count(array_filter($facts->railsOf($source), static fn (Rail $one): bool => $one->loads !== []))) + max(0, count($rail->loads) - 1),
        );
        $need = $peak->most() / $rail->volts->least() * 1000 / $paths;
        $working = [
            ...$working,
            $this->row('Through it at the worst moment', Figure::exactly($need, 'mA', Source::WorkedOut->with($peak->source))),
            $this->row("{$rail->says()}, at most", Figure::exactly($rail->volts->most(), 'V')),
        ];
        $share = max($need / max(1e-9, $switch->ratingMa->least()), $rail->volts->most() / max(1e-9, $ratingV->least()) >= 1.0 + 1e-9 ? 2.0 : 0.0);

        return $this->answer(self::byShare($share, $facts->margin('rail-share')), [$line, $source],
            fn (): Words => new Words(sprintf(
                '%s breaks up to %s mA at %s V; it is made for %s at %s.',
                $line->name(),
                self::n($need),
                self::n($rail->volts->most()),
                $switch->ratingMa->says(),
                $ratingV->says(),
            ), $working, self::n($need / max(1e-9, $switch->ratingMa->least()) * 100).' % of its rating', [
                $this->swap($line, 'Take a stronger switch'),
                Remedy::byHand('Let the switch only pull the converter\'s enable pin, if it has one; then hardly any current goes through it.'),
            ]));
    }
}
