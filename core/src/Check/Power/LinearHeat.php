<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\RailRule;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Part\Topology;
use PocketPlot\Power\Giver;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;

final class LinearHeat extends RailRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.linear-heat',
            'No linear regulator burns more than it can give off.',
            ['supply.drawMa', 'supply.drawAtV', 'output.volts', 'pack.volts', 'heat.riseKPerW', 'heat.limitC'],
        );
    }

    protected function ofRail(Rail $rail, Facts $facts): iterable
    {
        $output = $rail->output();
        $above = $rail->line->part->isConverter() ? $facts->giverOf($rail->line) : null;
        if ($above !== null && $output?->topology === Topology::Linear) {
            yield $this->judge($rail->line, $output, $above, $rail, $facts);
        }
    }

    private function judge(Line $line, Output $output, Giver $above, Rail $below, Facts $facts): Finding
    {
        $about = $output->name;
        if ($below->missing !== []) {
            return $this->unmeasured(
                $below->missing[0]->line,
                $below->missing[0]->figure,
                [$line],
                [],
                "heat/{$line->id}",
                "the heat in {$line->name()} is open",
            );
        }
        $current = $below->currentMa();
        if (! $current->isKnown() || ! $above->volts->isKnown()) {
            return $this->unmeasured(
                $current->isKnown() ? $above->line : $line,
                $current->isKnown() ? ($above->voltsRef()) : FigureRef::output($output, 'volts'),
                [$line],
                [],
                "heat/{$line->id}",
            );
        }
        // What gets less than it makes passes it on, less its dropout; that it does not work is another rule's affair.
        $watts = max(0.0, $above->volts->most() - $output->volts->least(), $output->dropoutV->most ?? 0.0) * $current->most() / 1000;
        $working = [
            $this->row("{$above->says()}, at most", Figure::exactly($above->volts->most(), 'V')),
            $this->row("{$line->name()} makes", $output->volts),
            $this->row('Heavy current', Figure::exactly($current->most(), 'mA')),
            $this->row('Burnt in it', Figure::exactly($watts, 'W')),
        ];

        return $this->burnt($line, $watts, $working, $about, $facts);
    }

    /** @param  list<WorkingLine>  $working */
    private function burnt(Line $line, float $watts, array $working, string $about, Facts $facts): Finding
    {
        $heat = $line->part->heat;
        if ($heat !== null && $heat->riseKPerW->isKnown() && $heat->limitC->isKnown()) {
            $hot = $facts->brief()->roomC + $watts * $heat->riseKPerW->most();
            $working = [
                ...$working,
                $this->row('Rise', $heat->riseKPerW),
                $this->row('Limit', $heat->limitC),
                $this->row('Gets to', Figure::exactly($hot, '°C')),
            ];

            return $this->answer(self::byMargin($heat->limitC->least() - $hot, $facts->margin('heat-kelvin')), [$line],
                fn (): Words => new Words(
                    sprintf('%s burns %s W and gets to %s °C; its limit is %s.', $line->name(), self::n($watts), self::n($hot), $heat->limitC->says()),
                    $working,
                    'room + watts × rise against the limit',
                    [
                        $this->swap($line, 'Take a switching converter'),
                        Remedy::byHand('A heatsink with a thermal pad, away from cells and plastic. Let it cool before touching it.'),
                    ],
                ), $about);
        }
        if ($watts <= Constants::LINEAR_SMALL_W / 2) {
            return $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words(
                    sprintf('%s burns only %s W.', $line->name(), self::n($watts)),
                    $working,
                    'half of what a bare small package gives off, or less',
                ),
                $about,
            );
        }
        if ($heat === null || ! $heat->riseKPerW->isKnown()) {
            return $this->unmeasured($line, 'heat.riseKPerW', [], $working, $about, sprintf('nobody can say whether it stands %s W', self::n($watts)));
        }

        return $this->unmeasured($line, 'heat.limitC', [], $working, $about);
    }
}
