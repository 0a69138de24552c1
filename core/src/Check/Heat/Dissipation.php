<?php

declare(strict_types=1);

namespace PocketPlot\Check\Heat;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Heat\Warmth;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Heat;
use PocketPlot\Part\Role;
use PocketPlot\Power\Missing;
use PocketPlot\Quantity\Figure;

final class Dissipation extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'heat.dissipation',
            'Each part that gets hot stays below its limit in the air inside.',
            ['heat.watts', 'heat.limitC', 'heat.riseKPerW', 'supply.drawMa', 'size'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return array_values(
            array_filter(
                $facts->with('heat'),
                static fn (Line $line): bool => $line->part->heat !== null && $line->part->sits->takesRoom() && ! $line->part->isConverter(),
            ),
        );
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $warmth = $facts->warmth();
        if ($warmth !== null && $line->part->heat !== null) {
            yield $this->judge($line, $line->part->heat, $warmth, $facts);
        }
    }

    private function judge(Line $line, Heat $heat, Warmth $warmth, Facts $facts): Finding
    {
        if ($heat->measuredC?->isKnown() === true && $heat->limitC->isKnown()) {
            $spare = $heat->limitC->least() - $heat->measuredC->most();

            return $this->answer(self::byMargin($spare, $facts->margin('heat-kelvin')), [$line], fn (): Words => new Words(
                "{$line->name()} got to {$heat->measuredC->says()} at the worst; it slows down or fails at {$heat->limitC->says()}.",
                [$this->row('Measured', $heat->measuredC), $this->row('Limit', $heat->limitC)],
                self::n($spare).' K to spare, '.self::n($facts->margin('heat-kelvin')).' K wanted',
                [Remedy::add(Role::Cooling, 'Add a fan or a heatsink'), $this->swap($line, 'Take one that stays cooler')],
            ));
        }
        if ($warmth->missing !== null || $warmth->air === null) {
            $missing = $warmth->missing ?? new Missing($line, FigureRef::of('size'));

            return $this->unmeasured($missing->line, $missing->figure, [$line], [], "hot/{$line->id}", "nobody can say how warm {$line->name()} gets");
        }
        $cooled = array_values(array_filter($facts->with('cooling'), static fn (Line $other): bool => $other->part->sits->takesRoom()));
        $rise = $cooled === [] ? $heat->riseKPerW : $heat->riseFanKPerW;
        foreach ([
            [$heat->watts, 'heat.watts'],
            [$heat->limitC, 'heat.limitC'],
            [$rise, $cooled === [] ? 'heat.riseKPerW' : 'heat.riseFanKPerW'],
        ] as [$figure, $key]) {
            if (! $figure->isKnown()) {
                return $this->unmeasured($line, $key, [], WarmthRows::of($warmth));
            }
        }
        $gets = $warmth->air->celsius + $heat->watts->most() * $rise->most();
        $margin = $heat->limitC->least() - $gets;

        return $this->answer(self::byMargin($margin, $facts->margin('heat-kelvin')), [$line, ...$cooled],
            fn (): Words => new Words(sprintf(
                '%s gets to about %s °C at the heaviest; it slows down or fails at %s.',
                $line->name(),
                self::n($gets),
                $heat->limitC->says(),
            ), [
                ...WarmthRows::of($warmth),
                ...$this->inPencil($facts),
                $this->row("{$line->name()}, heat", $heat->watts),
                $this->row($cooled === [] ? 'Rise by itself' : "Rise with {$cooled[0]->name()}", $rise),
                $this->row('Gets to', Figure::exactly(round($gets, 1), '°C')),
                $this->row('Limit', $heat->limitC),
            ], self::n($margin).' K to spare, '.self::n($facts->margin('heat-kelvin')).' K wanted', [
                Remedy::add(Role::Cooling, 'Add a fan or a heatsink'), $this->swap($line, 'Take one that stays cooler'),
                ...array_map(fn (Line $one): Remedy => $this->swap($one, 'Take better cooling'), $cooled),
                Remedy::byHand('Openings low and high in the body, or lower clocks. Never switch the part\'s own heat limit off.'),
            ]));
    }
}
