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
use PocketPlot\Part\Protection;
use PocketPlot\Part\Role;
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

        $sources = $facts->sources();
        foreach ($facts->with('pack') as $line) {
            if ($line->part->livesFromOwnCell() && ! in_array($line, $sources, true)) {
                $sources[] = $line;
            }
        }

        return $sources;
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        $charger = $pack === null || $pack->loose || ! $pack->isRechargeable() ? null : $facts->chargerOf($line);
        if ($pack !== null && $facts->brief()->playWhileCharging === true && $pack->loose) {
            yield $this->answer(Verdict::Clash, [$line], fn (): Words => new Words(
                "{$line->name()} comes out to be charged; nothing plays meanwhile.", [], 'the brief wants to play while it charges',
                [$this->swap($line, 'Take a pack that is charged inside'), Remedy::brief('Say in the brief that it is switched off while it charges')],
            ), 'loose');
        }
        if ($pack !== null && $facts->brief()->playWhileCharging === true && ! $pack->loose) {
            yield from $this->fromOutside($line, $pack, $charger, $facts);
        }
        // A charger that stays on the table charges a pack that is at rest.
        if ($pack !== null && $charger?->part->charger !== null && $charger->part->sits->takesRoom()) {
            yield $this->judge($line, $pack, $charger, $charger->part->charger, $facts);
        }
    }

    /**
     * Play while a charger on the table fills a managed pack, or while a supply fills a phone.
     *
     * @return iterable<Finding>
     */
    private function fromOutside(Line $line, Pack $pack, ?Line $charger, Facts $facts): iterable
    {
        [$watts, , $missing] = $facts->wattsFrom($line);
        if ($line->part->livesFromOwnCell() && $line->part->supply !== null) {
            $watts = $line->part->supply->watts();
        }
        $gives = null;
        $by = null;
        if ($line->part->livesFromOwnCell() && ! $line->part->fills(Role::Board)) {
            return;
        }
        if ($line->part->livesFromOwnCell()) {
            [$by, $gives] = $this->bestSupply($line, $facts);
        } elseif ($charger?->part->charger !== null && ! $charger->part->sits->takesRoom()
            && $charger->part->charger->chargeMa->isKnown() && $pack->cellNominalV->isKnown()) {
            [$by, $gives] = [$charger, $charger->part->charger->chargeMa->usual() / 1000 * $pack->cellNominalV->usual() * $pack->series];
        }
        if ($by === null || $gives === null || $missing !== [] || ! $watts->isKnown() || $watts->most() <= 0.0) {
            return;
        }
        // A managed pack tells itself when it is full; a bare one next to a load may never see the end of its charge.
        $isManaged = $line->part->livesFromOwnCell() || $pack->protection === Protection::BuiltIn;
        $verdict = match (true) {
            $gives <= $watts->usual() => Verdict::Clash,
            ! $isManaged => Verdict::Tight,
            $gives > $watts->most() * self::TO_SPARE || $gives > $watts->usual() * self::PLENTY => Verdict::Fits,
            default => Verdict::Tight,
        };
        yield $this->answer($verdict, [$line, $by], fn (): Words => new Words(
            sprintf(
                'Played while it charges: %s gives %s W, the play takes %s W in ordinary use and %s W at the heaviest. Unplug it when it is full.',
                $by->name(),
                self::n(round($gives, 1)),
                self::n(round($watts->usual(), 1)),
                self::n(round($watts->most(), 1)),
            ),
            [$this->row('The play takes', $watts), $this->count("{$by->name()} gives", round($gives, 1), 'W')],
            'what comes in against what the play takes',
            [$this->swap($by, 'Take a stronger supply')],
        ), 'outside');
    }

    /** Times the heaviest play that should come in. */
    private const TO_SPARE = 1.05;

    /** Times the ordinary play with which heavy moments do not matter. */
    private const PLENTY = 1.5;

    /** Losses of a phone's own charger, and of a coil. */
    private const INTO_PHONE = 0.85;

    private const THROUGH_COIL = 0.75;

    /** @return array{?Line, ?float} the supply that gives a phone most, and the watts that arrive */
    private function bestSupply(Line $line, Facts $facts): array
    {
        $best = [null, null];
        $limit = INF;
        foreach ($facts->with('controls') as $pad) {
            foreach ($pad->part->sockets as $socket) {
                if ($pad->id !== $line->id && $socket->carries === 'power' && $socket->takes() && $socket->ratingMa->isKnown() && $pad->part->pack === null) {
                    $limit = min($limit, $socket->ratingMa->usual() / 1000 * 5.0);
                }
            }
        }
        foreach ([...$facts->with('coil'), ...$facts->with('poweredBy')] as $giver) {
            $coil = $giver->part->coil;
            $watts = match (true) {
                $giver->id === $line->id => null,
                $coil !== null && $coil->watts->isKnown() => min($coil->watts->usual(), $line->part->coil->watts->usual ?? 0.0) * self::THROUGH_COIL,
                default => $this->atSockets($giver, $limit),
            };
            // A coil is how it is fed in play; the wall is where it goes afterwards.
            if ($watts !== null && ($best[1] === null || ($best[0]->part->coil === null && $watts > $best[1]))) {
                $best = [$giver, $watts];
            }
        }

        return $best;
    }

    private function atSockets(Line $giver, float $limit): ?float
    {
        $most = null;
        foreach ($giver->part->outputs as $output) {
            if ($output->volts->isKnown() && $output->continuousMa->isKnown()) {
                $most = max($most ?? 0.0, min($limit, $output->volts->usual() * $output->continuousMa->usual() / 1000) * self::INTO_PHONE);
            }
        }

        return $most;
    }

    private function judge(Line $packLine, Pack $pack, Line $line, Charger $charger, Facts $facts): Finding
    {
        $lines = [$line, $packLine];
        $working = [$this->text("{$line->name()} feeds the loads past the pack", $charger->powerPath === YesNo::Unknown ? '' : $charger->powerPath->value)];
        if ($charger->powerPath === YesNo::Unknown && $facts->brief()->playWhileCharging !== true) {
            return $this->answer(Verdict::Fits, $lines, fn (): Words => new Words(
                "Switch off while {$line->name()} charges: nobody says that it feeds the play past the pack.",
                $working,
                'the brief does not ask for play while it charges',
            ), $packLine->id);
        }
        if ($charger->powerPath === YesNo::Unknown) {
            return $this->unmeasured($line, 'charger.powerPath', [$packLine], [], $packLine->id, 'leave it switched off while it charges');
        }
        if ($charger->powerPath === YesNo::No) {
            $wanted = $facts->brief()->playWhileCharging === true;

            return $this->answer($wanted ? Verdict::Clash : Verdict::Fits, $lines,
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
        $output = $facts->chargeSourceOf($line)[1];
        if (! $charger->chargeMa->isKnown() && ! ($output?->volts->isKnown() === true && $output->continuousMa->isKnown())) {
            return $this->unmeasured($line, 'charger.chargeMa', $lines, $working, "net/{$packLine->id}");
        }
        $gives = $charger->chargeMa->isKnown() ? $charger->chargeMa->usual() / 1000 * $pack->cellNominalV->usual() * $pack->series : INF;
        $working = [
            ...$working,
            ...(is_finite($gives) ? [$this->row('The charger gives', Figure::exactly($gives, 'W'))] : []),
            $this->row('The play takes', $watts),
        ];
        $supply = $output !== null && $output->volts->isKnown() && $output->continuousMa->isKnown()
            ? $output->volts->usual() * min($output->continuousMa->usual(), $charger->inputMa->usual ?? INF) / 1000 * ($charger->efficiency->usual ?? 1.0)
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
