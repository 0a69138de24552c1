<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** All rules, in the order in which their findings are read. */
final class RuleBook
{
    /** @var list<class-string<Rule>> */
    public const RULES = [
        Whole\MissingRole::class,
        Power\SupplyWindow::class,
        Power\RailCurrent::class,
        Power\RunTimeWanted::class,
        Power\ChargerMatch::class,
        Power\CellProtection::class,
        Video\Path::class,
        Control\Coverage::class,
        Control\UsbSlots::class,
        Body\FitsInside::class,
        Body\Openings::class,
        Body\Variant::class,
        Software\StorageRoom::class,
        People\Skills::class,
        Money\Budget::class,
    ];

    /** @return list<Finding> worst first, in the book's order among equals */
    public static function ask(Facts $facts): array
    {
        $findings = [];
        foreach (self::RULES as $rule) {
            foreach ((new $rule)->check($facts) as $finding) {
                $findings[] = $finding;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => $b->verdict->weight() <=> $a->verdict->weight());

        return $findings;
    }
}
