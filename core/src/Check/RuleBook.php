<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** All rules, in the order in which their findings are read. */
final class RuleBook
{
    /** @var list<class-string<Rule>> the last one speaks of what the others left open */
    public const RULES = [
        Whole\MissingRole::class,
        Whole\Wanted::class,
        Whole\KitGaps::class,
        Power\SupplyWindow::class,
        Power\FedInPlay::class,
        Power\ConverterHeadroom::class,
        Power\RailCurrent::class,
        Power\SourceCurrent::class,
        Power\PortCurrent::class,
        Power\LeadThere::class,
        Power\CableDrop::class,
        Power\CellProtection::class,
        Power\DeepDischarge::class,
        Power\ChargerMatch::class,
        Power\ChargeRate::class,
        Power\PlayWhileCharging::class,
        Power\CableEnds::class,
        Power\ParallelCells::class,
        Power\TwoSupplies::class,
        Power\Polarity::class,
        Power\KnownContacts::class,
        Power\KeepAwake::class,
        Power\LinearHeat::class,
        Power\SwitchRating::class,
        Power\ShortCircuit::class,
        Power\RunTimeWanted::class,
        Video\VideoPath::class,
        Video\VideoMode::class,
        Video\Scaling::class,
        Video\FirstStart::class,
        Video\SignalToLight::class,
        Video\Ribbon::class,
        Control\Coverage::class,
        Control\ControlPath::class,
        Control\PinAssignment::class,
        Control\UsbSlots::class,
        Control\Firmware::class,
        Control\BoardFit::class,
        Control\FaceShape::class,
        Control\Grip::class,
        Control\ControlRoom::class,
        Audio\AudioPath::class,
        Audio\AudioSupply::class,
        Audio\AudioLoad::class,
        Audio\Channels::class,
        Audio\HeadphoneSense::class,
        Audio\Hum::class,
        Body\FitsInside::class,
        Body\StackHeight::class,
        Body\Openings::class,
        Body\Mounting::class,
        Body\Variant::class,
        Body\Spot::class,
        Body\Insulation::class,
        Body\FieldShadow::class,
        Body\PrintBed::class,
        Body\Wall::class,
        Body\Bears::class,
        Body\Fasteners::class,
        Body\Travel::class,
        Body\Tipping::class,
        Body\Spacers::class,
        Body\CableRoom::class,
        Fit\Clear::class,
        Fit\AtFace::class,
        Fit\Sockets::class,
        Fit\HeatDistance::class,
        Fit\Coil::class,
        Fit\LeadsReach::class,
        Fit\BareNeighbours::class,
        Fit\HandsReach::class,
        Fit\Wires::class,
        Heat\Dissipation::class,
        Heat\Airflow::class,
        Heat\AirInside::class,
        Software\ReadyImage::class,
        Software\Programming::class,
        Software\DriverKnown::class,
        Software\StorageRoom::class,
        Software\SafeShutdown::class,
        Software\Rights::class,
        People\Skills::class,
        People\Wires::class,
        People\Tools::class,
        People\Consumables::class,
        Money\WithinBudget::class,
        Money\ReadyMade::class,
        Money\Packets::class,
        Whole\Unmeasured::class,
    ];

    /** @var array<class-string<Rule>, Meta> what each rule says of itself, asked once */
    private static array $metas = [];

    /** @return array<class-string<Rule>, Meta> */
    public static function metas(): array
    {
        if (self::$metas === []) {
            foreach (self::RULES as $rule) {
                self::$metas[$rule] = $rule::meta();
            }
        }

        return self::$metas;
    }

    /** What all rules say of a build. */
    public static function ask(Facts $facts): Judgements
    {
        return self::judge($facts, new Judgements, null);
    }

    /** The same, each judgement with the facts it rests on, so that askAgain() can be asked of builds close by. */
    public static function askNoting(Facts $facts): Judgements
    {
        return self::judge($facts, new Judgements(true), null);
    }

    /** The same answers as ask(), for a build after a change: what rests on nothing that changed is taken over, where `before` was noted. */
    public static function askAgain(Facts $facts, Judgements $before): Judgements
    {
        return self::judge($facts, new Judgements, $before);
    }

    /** @return list<Finding> what one rule says of a build */
    public static function askOne(Rule $rule, Facts $facts): array
    {
        $judgements = new Judgements;
        $judgements->of($rule::class, $facts);

        return $judgements->inOrder();
    }

    private static function judge(Facts $facts, Judgements $judgements, ?Judgements $before): Judgements
    {
        $since = $before?->changes($facts);
        foreach (self::RULES as $class) {
            $judgements->of($class, $facts, $before, $since);
        }
        $judgements->summarize((new Whole\Unmeasured)->summary($judgements->worstFirst(), $facts->build));

        return $judgements;
    }
}
