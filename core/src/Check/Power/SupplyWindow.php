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
use PocketPlot\Constants;
use PocketPlot\Part\Role;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

final class SupplyWindow implements Rule
{
    use Answers;

    public static function id(): string
    {
        return 'power.supply-window';
    }

    public static function sentence(): string
    {
        return 'Every part that is fed gets a voltage inside its window, from the full pack to the empty one.';
    }

    public function check(Facts $facts): iterable
    {
        $tree = $facts->supplyTree();
        foreach ($tree->inCircles as $line) {
            yield $this->answer(Verdict::Clash, [$line], "{$line->name()} would be fed from itself.", [], '', [Remedy::byHand('Join it to a rail that does not live on it.')], 'circle');
        }
        foreach ($tree->unfed as $line) {
            yield $this->answer(Verdict::Clash, [$line], "Nothing in the parts list feeds {$line->name()}.", [
                $this->row("{$line->name()} needs", $line->part->supply->volts ?? Figure::unknown('V')),
            ], 'no rail at all', [
                Remedy::add(Role::Cells, 'Add a pack or a power bank'),
                Remedy::add(Role::Regulator, 'Add a regulator'),
            ]);
        }
        foreach ($tree->feeds as $feed) {
            yield $this->compare($feed->line, $tree->rails[$feed->railId], $feed->reason);
        }
    }

    private function compare(Line $line, Rail $rail, string $reason): Finding
    {
        $window = $line->part->supply->volts ?? Figure::unknown('V');
        $working = [
            $this->row("{$line->name()} needs", $window),
            $this->row("{$rail->says()} gives", $rail->volts),
        ];
        if (! $window->isKnown()) {
            return $this->unmeasured($line, 'supply.volts', [$rail->line], [$working[1]], '', "nobody can say whether {$rail->says()} suits it");
        }
        if (! $rail->volts->isKnown()) {
            return $this->unmeasured($rail->line, $rail->isRawPack ? 'pack.volts' : 'output.volts', [$line], [$working[0]], $line->id);
        }
        $below = $rail->volts->least() - $window->least();
        $above = $window->most() - $rail->volts->most();
        $margin = min($below, $above);
        $verdict = match (true) {
            $margin < -1e-9 => Verdict::Clash,
            $margin < Constants::SUPPLY_MARGIN_V - 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
        $comparison = sprintf('%s V to spare at the low end, %s V at the high end; wanted %s V (rail: %s)',
            Number::says($below), Number::says($above), Number::says(Constants::SUPPLY_MARGIN_V), $reason);
        $says = "{$line->name()} needs {$window->says()}. {$rail->says()} gives {$rail->volts->says()}.";
        $remedies = $verdict === Verdict::Fits ? [] : [
            Remedy::add(Role::Regulator, 'Add a regulator between them'),
            Remedy::swap($line->id, $line->role, "Take another part for {$line->name()}"),
            ...($rail->line->role === Role::Regulator || $rail->line->role === Role::Cells
                ? [Remedy::swap($rail->line->id, $rail->line->role, "Take another part for {$rail->line->name()}")] : []),
        ];

        return $this->answer($verdict, [$line, $rail->line], $says, $working, $comparison, $remedies);
    }
}
