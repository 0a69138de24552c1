<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Vocabulary;
use PocketPlot\Part\Charger;
use PocketPlot\Part\DrawKind;
use PocketPlot\Part\Output;
use PocketPlot\Part\Pack;
use PocketPlot\Part\PowerSwitch;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Protector;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Part\Topology;
use PocketPlot\Part\Typical;
use PocketPlot\Quantity\Figure;

/** Reads the facets of a part that have to do with power, and refuses figures that contradict each other. */
final class PowerReader
{
    /** @throws BadFile */
    public static function supply(Fields $supply): SupplyInput
    {
        [$volts, $nominal] = Typical::window($supply->figure('volts', 'V'));
        $draw = $supply->figure('drawMa', 'mA');
        $input = new SupplyInput(
            $supply->string('name', ''),
            $volts,
            $supply->figure('absoluteMaxV', 'V'),
            $draw,
            Typical::drawAtV($supply->figure('drawAtV', 'V'), $draw, $volts),
            $supply->figure('peakMa', 'mA'),
            $supply->figure('startUpMa', 'mA'),
            $supply->figure('offMa', 'mA'),
            $supply->figure('warnVolts', 'V'),
            $supply->bool('isAlternative'),
            $supply->oneOf('drawKind', DrawKind::class, DrawKind::Power),
            $nominal,
            $supply->figure('ratedV', 'V')->usual,
        );
        self::refuse($supply, 'absoluteMaxV', $input->absoluteMaxV, $input->volts, 'is below the upper end of the supply window');

        return $input;
    }

    /** @throws BadFile */
    public static function output(Fields $output): Output
    {
        $curve = [];
        foreach ($output->children('efficiencyAt') as $point) {
            $curve[] = [
                $point->number('load') ?? 0.0,
                $point->number('share') ?? throw BadFile::at("{$point->path}/share", 'is missing', 'write the efficiency at this load'),
            ];
        }
        $peak = $output->figure('peakMa', 'mA');
        $continuous = $output->figure('continuousMa', 'mA');
        self::refuse($output, 'peakMa', $peak, $continuous, 'is less than the continuous current', false);

        return new Output(
            $output->string('name'),
            $output->figure('volts', 'V'),
            $continuous,
            $peak,
            $output->figure('efficiency', ''),
            $curve,
            $output->oneOf('topology', Topology::class, Topology::Unknown),
            $output->figure('dropoutV', 'V'),
            $output->figure('idleMa', 'mA'),
            $output->figure('switchOffMa', 'mA'),
            $output->yesNo('enable'),
            $output->bool('wireless'),
        );
    }

    /** @throws BadFile */
    public static function pack(?Fields $fields): ?Pack
    {
        if ($fields === null) {
            return null;
        }
        $chemistry = $fields->string('chemistry');
        $sealed = $fields->bool('sealed');
        $capacity = $fields->figure('capacityMah', 'mAh');
        $pack = new Pack(
            $chemistry,
            $fields->atLeastOne('series'),
            $fields->atLeastOne('parallel'),
            $capacity,
            Typical::cellV($fields->figure('cellFullV', 'V'), $chemistry, 0),
            Typical::cellV($fields->figure('cellNominalV', 'V'), $chemistry, 1),
            Typical::cellV($fields->figure('cellEmptyV', 'V'), $chemistry, 2),
            Typical::usableShare($fields->figure('usableShare', ''), $sealed),
            $fields->figure('maxDischargeMa', 'mA'),
            Typical::maxChargeMa($fields->figure('maxChargeMa', 'mA'), $chemistry, $capacity),
            $fields->figure('internalResistanceMohm', 'mΩ'),
            $fields->oneOf('protection', Protection::class, Protection::Unknown),
            $fields->figure('cutOffV', 'V'),
            $fields->figure('totalW', 'W'),
            $fields->yesNo('canSplit'),
            $fields->bool('loose'),
            $sealed,
            $fields->figure('cycles', ''),
            $fields->figure('recoveryV', 'V'),
            $fields->yesNo('latches'),
            $fields->figure('energyOutWh', 'Wh'),
        );
        if (! in_array($pack->chemistry, Vocabulary::CHEMISTRIES, true)) {
            throw BadFile::at(
                "{$fields->path}/chemistry",
                "\"{$pack->chemistry}\" is no chemistry we know",
                'choose one of '.implode(', ', Vocabulary::CHEMISTRIES),
            );
        }
        self::refuse($fields, 'cellFullV', $pack->cellFullV, $pack->cellNominalV, 'is below the nominal voltage');
        self::refuse($fields, 'cellFullV', $pack->cellFullV, $pack->cellEmptyV, 'is below empty');
        self::refuse($fields, 'cellNominalV', $pack->cellNominalV, $pack->cellEmptyV, 'is below empty');
        if ($pack->internalResistanceMohm->isKnown() && $pack->internalResistanceMohm->least() < 0.0) {
            throw BadFile::at("{$fields->path}/internalResistanceMohm", 'is below nought', 'write the internal resistance in mΩ');
        }

        return $pack;
    }

    /** @throws BadFile */
    public static function charger(?Fields $charger): ?Charger
    {
        if ($charger === null) {
            return null;
        }
        [$least, $most] = [$charger->int('seriesLeast'), $charger->int('seriesMost')];
        if ($least > $most) {
            throw BadFile::at("{$charger->path}/seriesLeast", "{$least} is more than {$most}, the most cells in series", 'swap them');
        }

        return new Charger(
            $charger->strings('chemistries'),
            $least,
            $most,
            $charger->figure('inputVolts', 'V'),
            $charger->figure('chargeMa', 'mA'),
            $charger->yesNo('powerPath'),
            $charger->bool('wireless'),
            $charger->string('topology', ''),
            $charger->figure('efficiency', ''),
            $charger->figure('inputMa', 'mA'),
        );
    }

    /** @throws BadFile */
    public static function protector(?Fields $protector): ?Protector
    {
        return $protector === null ? null : new Protector(
            $protector->strings('chemistries'),
            $protector->int('series'),
            $protector->figure('cutOffV', 'V'),
            $protector->figure('mostMa', 'mA'),
            $protector->figure('recoveryV', 'V'),
            $protector->yesNo('latches'),
        );
    }

    /** @throws BadFile */
    public static function switch(?Fields $switch): ?PowerSwitch
    {
        return $switch === null ? null : new PowerSwitch(
            $switch->string('kind', 'slide'),
            $switch->figure('ratingMa', 'mA'),
            $switch->figure('ratingV', 'V'),
            $switch->figure('travelMm', 'mm'),
            $switch->bool('carriesPower', true),
            $switch->atLeastOne('poles'),
        );
    }

    /** Whichever of the two is written under `$key`, the first may not be the smaller one. */
    private static function refuse(Fields $fields, string $key, Figure $larger, Figure $smaller, string $problem, bool $atMost = true): void
    {
        if (! $larger->isKnown() || ! $smaller->isKnown()) {
            return;
        }
        $against = $atMost ? $smaller->most() : $smaller->least();
        if ($larger->most() < $against - 1e-9) {
            throw BadFile::at("{$fields->path}/{$key}", "{$larger->says()} {$problem} ({$smaller->says()})", 'correct one of them');
        }
    }
}
