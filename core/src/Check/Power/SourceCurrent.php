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
use PocketPlot\Part\Typical;
use PocketPlot\Power\Missing;
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
        // What a phone's own cell bears is its maker's affair.
        if ($line->part->livesFromOwnCell()) {
            return;
        }
        if ($pack->sealed && $loaded < 2) {
            // One socket alone is power.rail-current's affair.
            return;
        }
        yield $this->judge($line, $pack, $facts);
    }

    private function judge(Line $line, Pack $pack, Facts $facts): Finding
    {
        [$watts, $peak, $missing] = $pack->sealed ? $this->atSockets($line, $facts) : $facts->wattsFrom($line);
        if ($missing !== []) {
            return $this->unmeasured($missing[0]->line, $missing[0]->figure, [$line], [], "from/{$line->id}", "the load on {$line->name()} is open");
        }
        $working = [$this->row('Taken together, idle to heavy', $watts), $this->row('All peaks at once', $peak)];
        $guard = $facts->protectorOf($line);
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
            if (! self::mostOf($pack, $guard)->isKnown()) {
                return $this->unmeasured($line, 'pack.maxDischargeMa', [], $working);
            }
            $volts = $facts->rail("{$line->id}:pack")->volts ?? $pack->volts();
            $need = max($watts->most(), $peak->most()) / $volts->least() * 1000;
            if ($guard !== null && self::isSilent($guard, $need, $volts->least())) {
                // It opens first; until what it carries is known, nobody knows what comes out.
                return $this->unmeasured($guard, 'protector.mostMa', [$line], $working, "from/{$line->id}");
            }
            $gives = self::together($line, $pack, $guard, $facts);
            $working[] = $this->row("{$line->name()}, cut off to full", $volts);
            if ($guard !== null && $guard->part->protector !== null) {
                $working[] = $this->row("{$guard->name()} carries", $guard->part->protector->mostMa);
            }
            $working[] = $this->row('At the worst moment, nearly empty', Figure::exactly($need, 'mA'));
            $unit = 'mA';
        }
        $working[] = $this->row("{$line->name()} gives", $gives);
        $share = $gives->least() > 0.0 ? $need / $gives->least() : INF;
        if (! $pack->sealed && ! $pack->maxDischargeMa->isKnown() && $share <= 1.0) {
            // What the board lets through the cells need not bear.
            return $this->unmeasured($line, 'pack.maxDischargeMa', $guard === null ? [] : [$guard], $working);
        }
        $tightAt = $facts->margin('rail-share');
        $loads = [];
        foreach ($facts->railsOf($line) as $rail) {
            $loads = [...$loads, ...$rail->loads];
        }

        return $this->answer(self::byShare($share, $tightAt), [$line, ...$loads, ...($guard === null ? [] : [$guard])],
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

    /** Whether nobody knows if it lets so much through: more than the smallest do, and more than its own outputs were made to give. */
    private static function isSilent(Line $guard, float $needMa, float $packVolts): bool
    {
        $own = 0.0;
        foreach ($guard->part->passesPowerOn() ? $guard->part->outputs : [] as $output) {
            $amps = max($output->continuousMa->least ?? 0.0, $output->peakMa->least ?? 0.0);
            $own += ($output->volts->most ?? 0.0) * $amps / (Typical::CONVERTER_EFFICIENCY[0] * $packVolts);
        }

        return $guard->part->protector?->mostMa->isKnown() !== true && $needMa > max(Typical::PROTECTOR_MA, $own) * $guard->quantity;
    }

    /** What all packs side by side give. */
    private static function together(Line $line, Pack $pack, ?Line $guard, Facts $facts): Figure
    {
        $count = array_sum(array_map(static fn (Line $one): int => $one->quantity, $facts->inParallelWith($line)));
        $board = $guard?->part->protector?->mostMa;

        return $guard !== null && $board !== null && $guard->quantity < $count && $board->isKnown()
            ? self::lesser($board->times($guard->quantity), $pack->maxDischargeMa->isKnown() ? $pack->maxDischargeMa->times($count) : null)
            : self::mostOf($pack, $guard)->times($count);
    }

    /** What the cells give, or what their protection board lets through where that is less. */
    private static function mostOf(Pack $pack, ?Line $guard): Figure
    {
        $board = $guard?->part->protector->mostMa ?? Figure::unknown('mA');
        if (! $pack->maxDischargeMa->isKnown()) {
            return $board;
        }

        return self::lesser($pack->maxDischargeMa, $board->isKnown() ? $board : null);
    }

    private static function lesser(Figure $one, ?Figure $other): Figure
    {
        return $other !== null && $other->least() < $one->least() ? $other : $one;
    }

    /** @return array{Figure, Figure, list<Missing>} watts at the sockets of a bank: its own losses do not count against what it gives */
    private function atSockets(Line $line, Facts $facts): array
    {
        $watts = $peak = Figure::exactly(0.0, 'W');
        $missing = [];
        foreach ($facts->railsOf($line) as $rail) {
            $watts = $watts->plus($rail->watts);
            $peak = $peak->plus($rail->peakWatts);
            $missing = [...$missing, ...$rail->missing];
        }

        return [$watts, $peak, $missing];
    }
}
