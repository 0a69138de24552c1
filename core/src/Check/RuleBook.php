<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;
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

    /** Of one rule. Some hold every part of one kind against every part of another: a thousand of each would never end. */
    private const MOST_FINDINGS = 3000;

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

    /** @return array<string, list<Finding>> by rule id, in the book's order */
    public static function ask(Facts $facts): array
    {
        return self::askAgain($facts, [], ['any' => true], true);
    }

    /**
     * The same answers as ask(), for a build in which only one part was swapped or added: rules that read
     * nothing which the swap touches keep what they said.
     *
     * @param  array<string, list<Finding>>  $before  what each rule said before the swap
     * @param  array<string, true>  $touched  Part::$touches of the parts that went and came, as keys
     * @return array<string, list<Finding>> by rule id, in the book's order
     */
    public static function askAgain(Facts $facts, array $before, array $touched, bool $all = false): array
    {
        $said = [];
        foreach (self::metas() as $rule => $meta) {
            $isTouched = $all;
            foreach ($isTouched ? [] : $meta->reads as $what) {
                if (isset($touched[$what])) {
                    $isTouched = true;
                    break;
                }
            }
            if (! $isTouched) {
                $said[$meta->id] = $before[$meta->id] ?? [];

                continue;
            }
            if ($rule === Whole\Unmeasured::class) {
                $facts->keep(self::worstFirst($said));
            }
            $findings = [];
            foreach ((new $rule)->check($facts) as $finding) {
                if (count($findings) === self::MOST_FINDINGS) {
                    $findings[] = self::rest($meta->id);
                    break;
                }
                $findings[] = $finding;
            }
            $said[$meta->id] = $findings;
        }

        return $said;
    }

    /** What was not judged is said: silence would read as *fits*. */
    private static function rest(string $rule): Finding
    {
        return new Finding($rule, Verdict::Unmeasured, [], sprintf('This list is too long for this check: after %d answers the rest was left out. Divide the build into two.', self::MOST_FINDINGS), about: 'rest', ofWhole: true);
    }

    /**
     * @param  array<string, list<Finding>>  $said
     * @return list<Finding> worst first, in the book's order among equals
     */
    public static function worstFirst(array $said): array
    {
        $clash = $unmeasured = $tight = $fits = [];
        foreach ($said as $findings) {
            foreach ($findings as $finding) {
                match ($finding->verdict) {
                    Verdict::Clash => $clash[] = $finding,
                    Verdict::Unmeasured => $unmeasured[] = $finding,
                    Verdict::Tight => $tight[] = $finding,
                    Verdict::Fits => $fits[] = $finding,
                };
            }
        }

        return [...$clash, ...$unmeasured, ...$tight, ...$fits];
    }
}
