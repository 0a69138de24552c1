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
use PocketPlot\Part\Pack;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Figure;

final class SourceCurrent extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.source-current',
            'Everything together, losses included, takes no more from each pack than its cells give, nor from a sealed bank than its sockets give together.',
            ['supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'output.efficiency', 'pack.volts', 'pack.maxDischargeMa', 'pack.totalW'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->sources();
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        if ($pack === null) {
            return;
        }
        $loaded = count(array_filter($facts->railsOf($line), static fn (Rail $rail): bool => $rail->loads !== []));
        if ($pack->sealed && $loaded < 2) {
            // One socket alone is power.rail-current's affair.
            return;
        }
        yield $this->judge($line, $pack, $facts);
    }

    private function judge(Line $line, Pack $pack, Facts $facts): Finding
    {
        [$watts, $peak, $missing] = $facts->wattsFrom($line);
        if ($missing !== []) {
            return $this->unmeasured($missing[0]->line, $missing[0]->figure, [$line], [], "from/{$line->id}", "the load on {$line->name()} is open");
        }
        $working = [$this->row('Taken together, idle to heavy', $watts), $this->row('All peaks at once', $peak)];
        if ($pack->sealed) {
            if (! $pack->totalW->isKnown()) {
                return $this->unmeasured($line, 'pack.totalW', [], $working);
            }
            $gives = $pack->totalW->times($line->quantity);
            $need = $peak->most();
            $unit = 'W';
        } else {
            if (! $pack->volts()->isKnown() || $pack->volts()->least() <= 0.0) {
                return $this->unmeasured($line, 'pack.volts', [], $working);
            }
            if (! $pack->maxDischargeMa->isKnown()) {
                return $this->unmeasured($line, 'pack.maxDischargeMa', [], $working);
            }
            $gives = $pack->maxDischargeMa->times($line->quantity);
            $need = max($watts->most(), $peak->most()) / $pack->volts()->least() * 1000;
            $working[] = $this->row("{$line->name()}, empty to full", $pack->volts());
            $working[] = $this->row('At the worst moment, nearly empty', Figure::exactly($need, 'mA'));
            $unit = 'mA';
        }
        $working[] = $this->row("{$line->name()} gives", $gives);
        $share = $gives->least() > 0.0 ? $need / $gives->least() : INF;
        $tightAt = $facts->margin('rail-share');
        $loads = [];
        foreach ($facts->railsOf($line) as $rail) {
            $loads = [...$loads, ...$rail->loads];
        }

        return $this->answer(self::byShare($share, $tightAt), [$line, ...$loads],
            fn (): Words => new Words(sprintf(
                'At the worst moment %s %s are taken from %s; it gives %s.',
                self::n($need),
                $unit,
                $line->name(),
                $gives->says(),
            ), $working, sprintf('%s %% of what it gives; above %s %% counts as tight', self::n($share * 100), self::n($tightAt * 100)), [
                $this->swap($line, 'Take a stronger pack'),
                ...array_map(fn (Line $load): Remedy => $this->swap($load, "Take something thriftier for {$load->name()}"), $loads),
            ]));
    }
}
