<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\JoinKind;
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
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Part\Pack;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;

final class ChargerMatch extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.charger-match',
            'Each pack has a charger made for its chemistry and cell count, fed within its own window.',
            ['charger.inputVolts', 'output.volts'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('pack');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        // A ready-made bank fills itself; what fills it is its maker's affair.
        if ($pack !== null && $line->part->charger === null && ($line->part->livesFromOwnCell() || $pack->sealed)) {
            yield from $this->fillsItself($line, $facts);
        } elseif ($pack !== null && $pack->isRechargeable() && ! $this->isBesideOwnCell($line, $facts)) {
            yield $this->judge($line, $pack, $facts);
        }
    }

    /** In parallel with a phone's own cell, which the phone fills. */
    private function isBesideOwnCell(Line $line, Facts $facts): bool
    {
        foreach ($facts->joins() as $join) {
            $one = $join->kind !== JoinKind::Parallel || ($join->from !== $line->id && $join->to !== $line->id)
                ? null
                : $facts->line($join->from === $line->id ? $join->to : $join->from);
            if ($one?->part->livesFromOwnCell() === true) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<Finding> a phone, a pad or a bank with an inlet of its own: any supply that reaches it fills it */
    private function fillsItself(Line $line, Facts $facts): iterable
    {
        // Inlets of phones, pads and banks take five volts from anything that gives them.
        $gives = static fn (Output $output): bool => ! $output->volts->isKnown() || ($output->volts->least() <= 5.5 && $output->volts->most() >= 4.5);
        $supplies = array_values(array_filter($facts->with('poweredBy'), static fn (Line $one): bool => array_filter($one->part->outputs, $gives) !== []));
        if ($supplies !== []) {
            yield $this->answer(Verdict::Fits, [$line, $supplies[0]], fn (): Words => new Words(
                "{$line->name()} fills itself from {$supplies[0]->name()}.", [], 'its own charger',
            ));
        } elseif ($facts->brief()->listIsWhole === true) {
            yield $this->answer(Verdict::Missing, [$line], fn (): Words => new Words(
                "Nothing on the list fills {$line->name()}: a wall supply with a lead to its inlet is wanted.", [], 'no supply',
                [Remedy::add(Role::Charger, "Add a wall supply for {$line->name()}")],
            ));
        }
    }

    private function judge(Line $packLine, Pack $pack, Facts $facts): Finding
    {
        $wanted = $this->text($packLine->name(), "{$pack->chemistry}, {$pack->series}S");
        $chargers = $facts->with('charger');
        if ($chargers === []) {
            return $this->answer(Verdict::Missing, [$packLine], fn (): Words => new Words(
                "Nothing in the parts list can charge {$packLine->name()}.",
                [$wanted],
                'no charger',
                [
                    Remedy::add(Role::Charger, 'Add a charger for it'),
                ]));
        }
        $right = $facts->chargerOf($packLine);
        $charger = $right?->part->charger;
        if ($right === null || $charger === null) {
            $line = $chargers[0];
            $other = $line->part->charger;

            return $this->answer(Verdict::Clash, [$line, $packLine],
                fn (): Words => new Words(
                    "{$line->name()} is not made for {$packLine->name()} ({$pack->chemistry}, {$pack->series}S). Charging cells with the wrong charger can set them on fire.",
                    [
                        $wanted,
                        $this->text($line->name(), $other === null ? '' : self::made($other)),
                    ], 'chemistry or cell count differ', [
                        $this->swap($line, 'Take a charger made for this pack'),
                        $this->swap($packLine, 'Take a pack that this charger is made for'),
                    ]));
        }

        return $this->fed($packLine, $right, $charger, [$wanted, $this->text($right->name(), self::made($charger))], $facts);
    }

    /**
     * What is filled over a coil has no input to be held against volts; the sender may lie about at home.
     *
     * @param  list<Line>  $senders  on the list
     * @param  list<WorkingLine>  $working
     */
    private function overCoil(Line $packLine, Line $line, array $senders, array $working, Facts $facts): Finding
    {
        $isThere = $senders !== [] || $facts->brief()->listIsWhole !== true;

        return $this->answer($isThere ? Verdict::Fits : Verdict::Missing, [$line, $packLine, ...$senders], fn (): Words => $isThere
            ? new Words("{$line->name()} is made for {$packLine->name()}, and filled over its coil.", $working, 'chemistry and cell count agree')
            : new Words("{$line->name()} is made for {$packLine->name()}, but nothing in the parts list sends to its coil.", $working, 'no sender', [
                Remedy::add(Role::Charger, 'Add a sender that goes with it'),
            ]));
    }

    /** @param  list<WorkingLine>  $working */
    private function fed(Line $packLine, Line $line, Charger $charger, array $working, Facts $facts): Finding
    {
        $senders = array_values(array_filter($facts->with('coil'), static fn (Line $one): bool => $one->part->coil?->side === 'sender'));
        if ($charger->wireless && ($senders !== [] || ! $charger->inputVolts->isKnown())) {
            return $this->overCoil($packLine, $line, $senders, $working, $facts);
        }
        [$source, $output] = $facts->chargeSourceOf($line);
        if ($source === null || $output === null) {
            // One that is plugged into the wall itself needs no other; one with a common inlet finds a supply in every
            // drawer, unless the brief says that nothing is there.
            $isCommon = $facts->brief()->listIsWhole !== true && ($line->id === $packLine->id || $this->hasOwnInlet($line));
            if ($line->part->poweredBy !== PoweredBy::ItsOwn || $isCommon) {
                return $this->answer(
                    Verdict::Fits,
                    [$line, $packLine],
                    fn (): Words => new Words("{$line->name()} is made for {$packLine->name()}.", $working, 'chemistry and cell count agree'),
                );
            }

            return $this->answer(Verdict::Missing, [$line, $packLine],
                fn (): Words => new Words(
                    $line->id === $packLine->id
                        ? "Nothing on the list fills {$line->name()}: a wall supply with a lead to its inlet is wanted."
                        : "{$line->name()} is made for {$packLine->name()}, but nothing in the parts list feeds the charger.",
                    $working,
                    'no wall supply and no solar panel',
                    [Remedy::add(Role::Charger, 'Add a wall supply or a solar panel for it')],
                ));
        }
        if (! $charger->inputVolts->isKnown()) {
            return $this->unmeasured($line, 'charger.inputVolts', [$source], $working);
        }
        $working[] = $this->row("{$line->name()} wants at its input", $charger->inputVolts);
        if (! $output->volts->isKnown()) {
            return $this->unmeasured($source, FigureRef::output($output, 'volts'), [$line], $working, $packLine->id);
        }
        $working[] = $this->row("{$source->name()} gives", $output->volts);
        // A solar panel's lowest volts only mean that it is not charging yet; too many volts break the charger.
        $tooLow = $source->part->poweredBy !== PoweredBy::Sun
            ? $output->volts->least() < $charger->inputVolts->least()
            : $output->volts->most() < $charger->inputVolts->least();
        if ($tooLow || $output->volts->most() > $charger->inputVolts->most()) {
            return $this->answer(Verdict::Clash, [$line, $source, $packLine],
                fn (): Words => new Words(
                    "{$line->name()} wants {$charger->inputVolts->says()} at its input. {$source->name()} gives {$output->volts->says()}.",
                    $working,
                    'outside the input window',
                    [$this->swap($line, 'Take a charger with a wider input'), $this->swap($source)],
                ));
        }

        return $this->answer(Verdict::Fits, [$line, $packLine, $source],
            fn (): Words => new Words(
                $line->id === $packLine->id
                    ? "{$line->name()} charges itself from {$source->name()}."
                    : "{$line->name()} is made for {$packLine->name()} and runs on {$source->name()}.",
                $working,
                'chemistry, cell count and input agree',
            ));
    }

    /** A socket of its own for any common charging lead, or a bay that it is plugged into the wall with. */
    private function hasOwnInlet(Line $line): bool
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->carries === 'power' && $socket->takes() && (str_starts_with($socket->connector, 'usb') || $socket->ownLead)) {
                return true;
            }
        }

        return false;
    }

    private static function made(Charger $charger): string
    {
        $cells = $charger->seriesLeast === $charger->seriesMost ? (string) $charger->seriesLeast : "{$charger->seriesLeast} to {$charger->seriesMost}";

        return implode(', ', $charger->chemistries).", {$cells}S";
    }
}
