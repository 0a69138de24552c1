<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Charger;
use PocketPlot\Part\Pack;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Figure;

final class PlayWhileCharging extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.play-while-charging',
            'It can be played while it charges without confusing the charger, and the pack still fills.',
            ['charger.powerPath', 'charger.chargeMa', 'supply.drawMa', 'supply.drawAtV', 'output.efficiency', 'pack.cellNominalV'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        if ($facts->brief()->playWhileCharging === false) {
            return [];
        }

        return $facts->sources();
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        $charger = $pack === null || $pack->loose || ! $pack->isRechargeable() ? null : $facts->chargerOf($line);
        // A charger that stays on the table charges a pack that is at rest.
        if ($pack !== null && $charger?->part->charger !== null && $charger->part->sits->takesRoom()) {
            yield $this->judge($line, $pack, $charger, $charger->part->charger, $facts);
        }
    }

    private function judge(Line $packLine, Pack $pack, Line $line, Charger $charger, Facts $facts): Finding
    {
        $lines = [$line, $packLine];
        $working = [$this->text("{$line->name()} feeds the loads past the pack", $charger->powerPath === YesNo::Unknown ? '' : $charger->powerPath->value)];
        if ($charger->powerPath === YesNo::Unknown) {
            return $this->unmeasured($line, 'charger.powerPath', [$packLine], [], $packLine->id, 'leave it switched off while it charges');
        }
        if ($charger->powerPath === YesNo::No) {
            $wanted = $facts->brief()->playWhileCharging === true;

            return $this->answer($wanted ? Verdict::Clash : Verdict::Tight, $lines,
                fn (): Words => new Words(
                    "{$line->name()} cannot tell what the cells take from what the play takes; switch off while it charges.",
                    $working,
                    $wanted
                    ? 'the brief wants to play while it charges'
                    : 'holds when it is switched off', [
                        $this->swap($line, 'Take a charger that feeds the loads past the pack'),
                        Remedy::brief('Say in the brief that it is switched off while it charges'),
                    ]), $packLine->id);
        }

        return $this->fills($packLine, $pack, $line, $charger, $working, $facts);
    }

    /**
     * Whether the pack still fills while the loads are fed past it.
     *
     * @param  list<WorkingLine>  $working
     */
    private function fills(Line $packLine, Pack $pack, Line $line, Charger $charger, array $working, Facts $facts): Finding
    {
        $lines = [$line, $packLine];
        [$watts, , $missing] = $facts->wattsFrom($packLine);
        if ($missing !== []) {
            return $this->unmeasured(
                $missing[0]->line,
                $missing[0]->figure,
                $lines,
                $working,
                "charging/{$packLine->id}",
                'nobody can say whether the pack fills during play',
            );
        }
        if (! $charger->chargeMa->isKnown() || ! $pack->cellNominalV->isKnown()) {
            return $this->unmeasured(
                $charger->chargeMa->isKnown() ? $packLine : $line,
                $charger->chargeMa->isKnown() ? 'pack.cellNominalV' : 'charger.chargeMa',
                $lines,
                $working,
                "net/{$packLine->id}",
            );
        }
        $gives = $charger->chargeMa->usual() / 1000 * $pack->cellNominalV->usual() * $pack->series;
        $working = [...$working, $this->row('The charger gives', Figure::exactly($gives, 'W')), $this->row('The play takes', $watts)];
        $output = $facts->chargeSourceOf($line)[1];
        $supply = $output !== null && $output->volts->isKnown() && $output->continuousMa->isKnown()
            ? $output->volts->usual() * $output->continuousMa->usual() / 1000
            : null;
        if ($supply !== null) {
            $working[] = $this->row('The supply gives', Figure::exactly($supply, 'W'));
        }
        // Past the pack the play runs on the supply; while nobody knows what that gives, on what the charger gives.
        $left = $supply === null ? $gives - $watts->usual() : min($gives, $supply - $watts->usual());
        $fits = $left > 0.0;

        return $this->answer($fits ? Verdict::Fits : Verdict::Tight, $lines,
            fn (): Words => new Words(
                $fits
                    ? "{$packLine->name()} fills while it is played."
                    : sprintf(
                        'Played while it charges, %s still empties: the play takes %s W, %s gives %s W.',
                        $packLine->name(),
                        self::n($watts->usual()),
                        $supply === null ? 'the charger' : 'the supply',
                        self::n($supply ?? $gives),
                    ),
                $working,
                'what is left for the pack at usual watts',
                [$this->swap($line, 'Take a stronger charger')],
            ), $packLine->id);
    }
}
