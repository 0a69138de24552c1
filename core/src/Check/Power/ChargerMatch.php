<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Answers;
use PocketPlot\Check\Facts;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Part\Charger;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Figure;

final class ChargerMatch implements Rule
{
    use Answers;

    public static function id(): string
    {
        return 'power.charger-match';
    }

    public static function sentence(): string
    {
        return 'Each pack has a charger made for its chemistry and cell count, gentle enough for it, fed within its own window.';
    }

    public function check(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            if ($line->part->pack === null || $line->part->pack->chemistry === 'alkaline') {
                continue;
            }
            if ($line->part->pack->sealed && $line->part->charger === null) {
                // A ready-made bank fills itself; what fills it is its maker's affair.
                continue;
            }
            yield $this->judge($line, $line->part->pack, $facts);
        }
    }

    private function judge(Line $packLine, Pack $pack, Facts $facts): Finding
    {
        $chargers = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->charger !== null));
        $wanted = new WorkingLine("{$packLine->name()}", "{$pack->chemistry}, {$pack->series} in a row", '', 'datasheet');
        if ($chargers === []) {
            return $this->answer(Verdict::Clash, [$packLine], "Nothing in the parts list can charge {$packLine->name()}.", [$wanted], 'no charger', [
                Remedy::add(Role::Charger, 'Add a charger for it'),
            ]);
        }
        $right = null;
        foreach ($chargers as $line) {
            if ($line->part->charger?->takes($pack) === true) {
                $right = $line;
                break;
            }
        }
        if ($right === null || $right->part->charger === null) {
            $line = $chargers[0];
            $charger = $line->part->charger;

            return $this->answer(
                Verdict::Clash, [$line, $packLine],
                "{$line->name()} is not made for {$packLine->name()} ({$pack->chemistry}, {$pack->series} in a row). Charging cells with the wrong charger can set them on fire.",
                [$wanted, new WorkingLine($line->name(), $charger === null ? '' : self::made($charger), '', 'datasheet')],
                'chemistry or cell count differ',
                [
                    Remedy::swap($line->id, $line->role, 'Take a charger made for this pack'),
                    Remedy::swap($packLine->id, $packLine->role, 'Take a pack that this charger is made for'),
                ],
            );
        }

        return $this->gentleEnough($packLine, $pack, $right, $right->part->charger, $wanted, $facts);
    }

    private function gentleEnough(Line $packLine, Pack $pack, Line $line, Charger $charger, WorkingLine $wanted, Facts $facts): Finding
    {
        $allowed = $pack->maxChargeMa->times($packLine->quantity);
        $working = [$wanted, new WorkingLine($line->name(), self::made($charger), '', 'datasheet')];
        if (! $charger->chargeMa->isKnown()) {
            return $this->unmeasured($line, 'charger.chargeMa', [$packLine], $working);
        }
        $working[] = $this->row("{$line->name()} charges with", $charger->chargeMa);
        if (! $pack->maxChargeMa->isKnown()) {
            return $this->unmeasured($packLine, 'pack.maxChargeMa', [$line], $working);
        }
        $working[] = $this->row("{$packLine->name()} takes at most", $allowed);
        $swap = [Remedy::swap($line->id, $line->role, 'Take a gentler charger'), Remedy::swap($packLine->id, $packLine->role, 'Take a pack that takes more')];
        if ($charger->chargeMa->most() > $allowed->least()) {
            return $this->answer(Verdict::Clash, [$line, $packLine],
                "{$line->name()} charges with {$charger->chargeMa->says()}; {$packLine->name()} takes {$allowed->says()} at most.",
                $working, 'more than the cells are made for', $swap);
        }
        [$source, $output] = $this->sourceFor($line, $charger, $facts);
        if ($source === null || $output === null) {
            if ($line->id === $packLine->id || $this->hasOutsideInlet($line)) {
                return $this->answer(Verdict::Fits, [$line, $packLine], "{$line->name()} is made for {$packLine->name()}.", $working, 'chemistry, cell count and current agree');
            }

            return $this->answer(Verdict::Tight, [$line, $packLine],
                "{$line->name()} is made for {$packLine->name()}, but nothing in the parts list feeds the charger.", $working, 'no wall supply and no solar panel',
                [Remedy::add(Role::Charger, 'Add a wall supply or a solar panel for it')], );
        }
        if (! $charger->inputVolts->isKnown()) {
            return $this->unmeasured($line, 'charger.inputVolts', [$source], $working);
        }
        $working[] = $this->row("{$line->name()} wants at its input", $charger->inputVolts);
        if (! $output->isKnown()) {
            return $this->unmeasured($source, 'output.volts', [$line], $working, $packLine->id);
        }
        $working[] = $this->row("{$source->name()} gives", $output);
        // A solar panel's lowest volts only mean that it is not charging yet; too many volts break the charger.
        $tooLow = $source->part->livesOn !== 'sun' ? $output->least() < $charger->inputVolts->least() : $output->most() < $charger->inputVolts->least();
        if ($tooLow || $output->most() > $charger->inputVolts->most()) {
            return $this->answer(Verdict::Clash, [$line, $source, $packLine],
                "{$line->name()} wants {$charger->inputVolts->says()} at its input. {$source->name()} gives {$output->says()}.",
                $working, 'outside the input window', [
                    Remedy::swap($line->id, $line->role, 'Take a charger with a wider input'),
                    Remedy::swap($source->id, $source->role, "Take another part for {$source->name()}"),
                ]);
        }

        $says = $line->id === $packLine->id ? "{$line->name()} charges itself from {$source->name()}." : "{$line->name()} is made for {$packLine->name()} and lives on {$source->name()}.";

        return $this->answer(Verdict::Fits, [$line, $packLine, $source], $says, $working, 'chemistry, cell count, current and input agree');
    }

    /** @return array{?Line, ?Figure} the wall supply or solar panel whose volts suit the charger best */
    private function sourceFor(Line $charger, Charger $facet, Facts $facts): array
    {
        $best = [null, null, INF];
        foreach ($facts->lines() as $line) {
            foreach ($line->part->livesOn !== '' && $line->id !== $charger->id ? $line->part->outputs : [] as $output) {
                $off = ! $output->volts->isKnown() || ! $facet->inputVolts->isKnown() ? 1.0
                    : max(0.0, $facet->inputVolts->least() - $output->volts->most()) + max(0.0, $output->volts->most() - $facet->inputVolts->most());
                if ($off < $best[2]) {
                    $best = [$line, $output->volts, $off];
                }
            }
        }

        return [$best[0], $best[1]];
    }

    /** A socket of its own for any common charging lead. */
    private function hasOutsideInlet(Line $line): bool
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->carries === 'power' && $socket->takes() && str_starts_with($socket->connector, 'usb')) {
                return true;
            }
        }

        return false;
    }

    private static function made(Charger $charger): string
    {
        $cells = $charger->seriesLeast === $charger->seriesMost ? (string) $charger->seriesLeast : "{$charger->seriesLeast} to {$charger->seriesMost}";

        return implode(', ', $charger->chemistries).", {$cells} in a row";
    }
}
