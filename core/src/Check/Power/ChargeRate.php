<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Charger;
use PocketPlot\Part\Pack;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

final class ChargeRate extends LineRule
{
    /** The last part of a charge goes slower and a little is lost: the usual fifth on top. */
    private const TAIL = 1.2;

    public static function meta(): Meta
    {
        return new Meta(
            'power.charge-rate',
            'The charger is gentle enough for the cells, and done within a night.',
            ['charger.chargeMa', 'pack.maxChargeMa', 'pack.capacityMah'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('pack');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        $charger = $pack === null || ! $pack->isRechargeable() ? null : $facts->chargerOf($line);
        if ($pack !== null && $charger?->part->charger !== null && ! ($pack->sealed && $line->part->charger === null)) {
            yield $this->judge($line, $pack, $charger, $charger->part->charger, $facts->margin('charge-hours'), $facts);
        }
    }

    private function judge(Line $packLine, Pack $pack, Line $line, Charger $charger, float $night, Facts $facts): Finding
    {
        if (! $charger->chargeMa->isKnown() && $facts->with('kit') !== []) {
            return $this->ofOneKit($line, $packLine);
        }
        if (! $charger->chargeMa->isKnown()) {
            return $this->unmeasured($line, 'charger.chargeMa', [$packLine], [], $packLine->id);
        }
        $working = [$this->row("{$line->name()} charges with", $charger->chargeMa)];
        if (! $pack->maxChargeMa->isKnown()) {
            return $this->unmeasured($packLine, 'pack.maxChargeMa', [$line], $working);
        }
        $times = self::share($packLine, $facts);
        $allowed = $pack->maxChargeMa->times($times);
        $working[] = $this->row($times > $packLine->quantity ? 'All side by side take at most' : "{$packLine->name()} takes at most", $allowed);
        $remedies = [$this->swap($line, 'Take another charger'), $this->swap($packLine, 'Take another pack')];
        if ($charger->chargeMa->most() > $allowed->least() + 1e-9 && $allowed->source === Source::Typical) {
            return $this->unmeasured(
                $packLine,
                'pack.maxChargeMa',
                [$line],
                $working,
                $line->id,
                "nobody can say whether it bears {$charger->chargeMa->says()}",
            );
        }
        if ($charger->chargeMa->most() > $allowed->least() + 1e-9) {
            return $this->answer(Verdict::Clash, [$line, $packLine],
                fn (): Words => new Words(
                    "{$line->name()} charges with {$charger->chargeMa->says()}; {$packLine->name()} takes {$allowed->says()} at most. Cells charged too fast get hot and can burn.",
                    $working,
                    'more than the cells are made for',
                    $remedies,
                ), $packLine->id);
        }
        $capacity = $pack->capacityMah->times($times);
        if (! $capacity->isKnown() || $charger->chargeMa->least() <= 0.0) {
            return $this->unmeasured(
                $capacity->isKnown() ? $line : $packLine,
                $capacity->isKnown() ? 'charger.chargeMa' : 'pack.capacityMah',
                [$line],
                $working,
            );
        }
        $hours = $capacity->usual() / $charger->chargeMa->usual() * self::TAIL;
        $working = [...$working, $this->row("{$packLine->name()}, capacity", $capacity), $this->row('From empty to full, about', Figure::exactly($hours, 'h'))];
        $fits = $hours <= $night;

        return $this->answer($fits ? Verdict::Fits : Verdict::Tight, [$line, $packLine],
            fn (): Words => new Words(
                sprintf(
                    $fits ? '%s fills %s in about %s h.' : '%s needs about %s h for %s; a night will not do.',
                    ...($fits ? [$line->name(), $packLine->name(), self::n($hours)] : [$line->name(), self::n($hours), $packLine->name()]),
                ),
                $working,
                'capacity ÷ charge current × 1.2 against '.self::n($night).' h',
                $remedies,
            ), $packLine->id);
    }

    /** As many of this pack as all that stand side by side are worth: they share the charge by their capacity. */
    private static function share(Line $packLine, Facts $facts): float
    {
        $own = $packLine->part->pack->capacityMah->usual ?? 0.0;
        $times = 0.0;
        foreach ($facts->inParallelWith($packLine) as $line) {
            $its = $line->part->pack->capacityMah->usual ?? 0.0;
            $times += $line->quantity * ($own > 0.0 && $its > 0.0 ? $its / $own : 1.0);
        }

        return $times;
    }

    /** Made for one cell of this kind and nothing more said: the board of a kit sets a current that its cell bears. */
    private function ofOneKit(Line $line, Line $packLine): Finding
    {
        return $this->answer(
            Verdict::Fits,
            [$line, $packLine],
            fn (): Words => new Words("{$line->name()} and {$packLine->name()} belong to one kit.", [], 'made for each other'),
            $packLine->id,
        );
    }
}
