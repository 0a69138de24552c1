<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Charger;
use PocketPlot\Part\Controls;
use PocketPlot\Part\Output;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Part\Topology;
use PocketPlot\Part\Typical;
use PocketPlot\Quantity\Figure;

/** Fills what hardly anybody writes down with what is usual of its kind, where other facets of the part tell its kind. */
final class TypicalFigures
{
    /** How far the volts of a pin or socket may lie from the board's own input and still be passed on without a converter. */
    private const SAME_VOLTS = 0.06;

    /**
     * @param  list<SupplyInput>  $supplies
     * @param  list<Socket>  $sockets
     * @return list<SupplyInput>
     */
    public static function supplies(array $supplies, ?Charger $charger, ?Controls $controls, array $sockets): array
    {
        return array_map(static function (SupplyInput $input) use ($charger, $controls, $sockets): SupplyInput {
            $volts = $input->volts;
            if (! $volts->isKnown() && $charger !== null) {
                $volts = self::windowOfCells($charger);
            }
            $draw = $controls === null || ! $volts->isKnown() ? $input->drawMa : Typical::padMa($input->drawMa, self::isUsb($sockets));
            $peak = $input->drawMa->isKnown() || ! $draw->isKnown() ? $input->peakMa : Typical::or(
                $input->peakMa,
                [$draw->most(), $draw->most(), $draw->most()],
            );

            return $volts === $input->volts && $draw === $input->drawMa && $peak === $input->peakMa
                ? $input
                : $input->with($volts, $draw, Typical::drawAtV($input->drawAtV, $draw, $volts), $peak);
        }, $supplies);
    }

    /**
     * @param  list<Output>  $outputs
     * @param  list<SupplyInput>  $supplies
     * @param  list<Socket>  $sockets
     * @param  list<Role>  $fills
     * @return list<Output>
     */
    public static function outputs(array $outputs, ?Pack $pack, array $supplies, array $sockets, array $fills): array
    {
        $converts = in_array(Role::Regulator, $fills, true) || in_array(Role::Charger, $fills, true);

        return array_map(static function (Output $output) use ($pack, $supplies, $sockets, $converts): Output {
            $in = $supplies[0]->volts ?? Figure::unknown('V');
            $efficiency = match (true) {
                $pack !== null => self::bankEfficiency($output->efficiency, $pack),
                $output->topology === Topology::Linear => $output->efficiency,
                ! $converts && self::isPassedOn($in, $output->volts) => Typical::or($output->efficiency, Typical::PASS_EFFICIENCY),
                default => Typical::or($output->efficiency, Typical::CONVERTER_EFFICIENCY),
            };
            $current = $output->continuousMa;
            foreach ($converts || $pack?->sealed === true ? [] : $sockets as $socket) {
                if (! $current->isKnown() && $socket->carries === 'usb' && $socket->gives() && str_contains(strtolower($output->name), 'usb')) {
                    // All of them share what the board has for them; for sure it is no less than one of them bears.
                    $current = Typical::usbSocketMa($current, $socket);
                }
            }

            // A pin of a computer gives a few tenths of an amp, whatever regulator is behind it.
            if (! $converts && $pack === null && ! $current->isKnown() && $supplies !== []) {
                $current = Typical::or($current, Typical::PIN_MA);
            }

            return $output->with($efficiency, self::dropout($output, $in), $current);
        }, $outputs);
    }

    /** @param  list<Socket>  $sockets */
    public static function charger(?Charger $charger, array $sockets): ?Charger
    {
        if ($charger === null || $charger->inputVolts->isKnown()) {
            return $charger;
        }
        foreach ($sockets as $socket) {
            if ($socket->carries === 'power' && $socket->takes() && str_starts_with($socket->connector, 'usb')) {
                return $charger->with(Typical::usbInletV($charger->inputVolts));
            }
        }

        return $charger;
    }

    /** Empty to full volts of the cells that a charger with an output of its own is made for. */
    private static function windowOfCells(Charger $charger): Figure
    {
        $least = INF;
        $most = 0.0;
        foreach ($charger->chemistries as $chemistry) {
            [$full, , $empty] = Typical::CELL_V[$chemistry] ?? [0.0, 0.0, 0.0];
            $least = min($least, $empty * $charger->seriesLeast * 0.9);
            $most = max($most, $full * $charger->seriesMost * 1.02);
        }

        return $most <= 0.0 ? Figure::unknown('V') : Typical::or(Figure::unknown('V'), [$least, ($least + $most) / 2, $most]);
    }

    /** What the maker says comes out at the sockets outranks what is usual. */
    private static function bankEfficiency(Figure $efficiency, Pack $pack): Figure
    {
        $held = $pack->wattHours();
        if ($pack->energyOutWh->isKnown() && $held->isKnown() && $held->usual() > 0.0) {
            return Figure::exactly(min(1.0, $pack->energyOutWh->usual() / $held->usual()), '', $pack->energyOutWh->source);
        }

        return $pack->sealed ? Typical::or($efficiency, Typical::BANK_EFFICIENCY) : Typical::or($efficiency, Typical::CONVERTER_EFFICIENCY);
    }

    private static function isPassedOn(Figure $in, Figure $out): bool
    {
        return $in->isKnown() && $out->isKnown() && abs($out->usual() / max(0.1, $in->usual()) - 1) <= self::SAME_VOLTS;
    }

    /** A converter whose sheet lets it work from so many volts needs no more than these above its output. */
    private static function dropout(Output $output, Figure $in): Figure
    {
        $raises = $output->topology === Topology::Boost || $output->topology === Topology::BuckBoost;
        if ($output->dropoutV->isKnown() || $raises || $output->topology === Topology::Unknown) {
            return $output->dropoutV;
        }
        $typical = $output->topology === Topology::Linear ? Typical::LINEAR_DROPOUT_V : Typical::DROPOUT_V;
        if ($in->isKnown() && $output->volts->isKnown() && $in->least() > $output->volts->most()) {
            $needs = min($typical[2], $in->least() - $output->volts->most());

            return Typical::or($output->dropoutV, [min($typical[0], $needs), min($typical[1], $needs), $needs]);
        }

        return Typical::or($output->dropoutV, $typical);
    }

    /** @param  list<Socket>  $sockets */
    private static function isUsb(array $sockets): bool
    {
        foreach ($sockets as $socket) {
            if ($socket->carries === 'usb') {
                return true;
            }
        }

        return false;
    }
}
