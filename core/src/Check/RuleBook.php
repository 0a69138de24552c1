<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Part\Part;

/** All rules, in the order in which their findings are read. */
final class RuleBook
{
    /** @var list<class-string<Rule>> the last one speaks of what the others left open */
    public const RULES = [
        Whole\MissingRole::class,
        Whole\KitGaps::class,
        Power\SupplyWindow::class,
        Power\ConverterHeadroom::class,
        Power\RailCurrent::class,
        Power\SourceCurrent::class,
        Power\PortCurrent::class,
        Power\CableDrop::class,
        Power\CellProtection::class,
        Power\DeepDischarge::class,
        Power\ChargerMatch::class,
        Power\ChargeRate::class,
        Power\PlayWhileCharging::class,
        Power\CableEnds::class,
        Power\ParallelCells::class,
        Power\KeepAwake::class,
        Power\LinearHeat::class,
        Power\SwitchRating::class,
        Power\ShortCircuit::class,
        Power\RunTimeWanted::class,
        Video\Path::class,
        Video\PictureMode::class,
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
        Control\ControlRoom::class,
        Audio\AudioPath::class,
        Audio\AudioSupply::class,
        Audio\AudioLoad::class,
        Audio\Channels::class,
        Audio\HeadphoneSense::class,
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
        Body\Fasteners::class,
        Body\Travel::class,
        Body\CableRoom::class,
        Heat\Dissipation::class,
        Heat\Airflow::class,
        Heat\Limits::class,
        Software\Image::class,
        Software\DriverKnown::class,
        Software\StorageRoom::class,
        Software\SafeShutdown::class,
        Software\Rights::class,
        People\Skills::class,
        People\Tools::class,
        People\Consumables::class,
        Money\Budget::class,
        Money\ReadyMade::class,
        Money\Packets::class,
        Whole\Unmeasured::class,
    ];

    /** @return list<Finding> worst first, in the book's order among equals */
    public static function ask(Facts $facts): array
    {
        return self::sorted($facts, static fn (string $rule): iterable => (new $rule)->check($facts));
    }

    /**
     * The same answers as ask(), for a build in which only one part was swapped or added: rules that read
     * nothing which the swap touches keep what they said.
     *
     * @param  list<Finding>  $before  what was said before the swap
     * @param  list<string>  $touched  Part::$touches of the parts that went and came
     * @return list<Finding>
     */
    public static function askAgain(Facts $facts, array $before, array $touched): array
    {
        $kept = [];
        foreach ($before as $finding) {
            $kept[$finding->rule][] = $finding;
        }
        $touches = array_fill_keys($touched, true);

        return self::sorted($facts, static function (string $rule) use ($facts, $kept, $touches): iterable {
            $meta = $rule::meta();
            foreach ($meta->reads as $what) {
                if (isset($touches[$what])) {
                    return (new $rule)->check($facts);
                }
            }

            return $kept[$meta->id] ?? [];
        });
    }

    /**
     * @param  callable(class-string<Rule>): iterable<Finding>  $answers
     * @return list<Finding>
     */
    private static function sorted(Facts $facts, callable $answers): array
    {
        $findings = [];
        foreach (self::RULES as $rule) {
            if ($rule === Whole\Unmeasured::class) {
                $facts->keep($findings);
            }
            foreach ($answers($rule) as $finding) {
                $findings[] = $finding;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => $b->verdict->weight() <=> $a->verdict->weight());

        return $findings;
    }
}
