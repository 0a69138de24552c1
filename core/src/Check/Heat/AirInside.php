<?php

declare(strict_types=1);

namespace PocketPlot\Check\Heat;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Power\Missing;
use PocketPlot\Quantity\Constants;

final class AirInside extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'heat.limits',
            'The air inside stays below what cells bear and hands like.',
            ['supply.drawMa', 'supply.drawAtV', 'output.efficiency', 'size', 'body.wall'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $warmth = $facts->warmth();
        $bodyLine = $facts->bodyLine();
        if ($warmth === null || $bodyLine === null) {
            return;
        }
        foreach ($facts->with('heat') as $line) {
            if ($line->part->heat?->measuredC?->isKnown() === true) {
                // Measured where it matters.
                return;
            }
        }
        if ($warmth->missing !== null || $warmth->air === null) {
            $missing = $warmth->missing ?? new Missing($bodyLine, FigureRef::of('size'));
            yield $this->unmeasured($missing->line, $missing->figure, [$bodyLine], [], 'warmth', 'nobody can say how warm it gets inside');

            return;
        }
        $air = $warmth->air->celsius;
        $cells = array_values(
            array_filter($facts->with('pack'), static fn (Line $line): bool => $line->part->sits->takesRoom() && $line->part->pack?->isLithium() === true),
        );
        $limit = $cells === [] ? Constants::HAND_LIMIT_C + 20.0 : Constants::CELL_LIMIT_C;
        $verdict = self::byMargin($limit - $air, $facts->margin('heat-kelvin'));

        yield $this->answer(
            $verdict,
            [$bodyLine, ...$cells],
            fn (): Words => new Words(sprintf('In an hour of ordinary play the air inside gets to about %s °C%s', self::n($air), match ($verdict) {
                Verdict::Clash => $cells === [] ? '; the body gets too hot to hold.' : ': too hot for the cells. Hot lithium cells can burn.',
                Verdict::Tight => ', close to the limit.',
                default => '.',
            }), [
                ...WarmthRows::of($warmth),
                ...$this->inPencil($facts),
                $this->count($cells === [] ? 'Body uncomfortable above, inside about' : 'Cells must stay below', $limit, '°C', 'datasheet'),
            ], 'room + watts ÷ (surface, vents, fan)', [
                Remedy::add(Role::Cooling, 'Add a fan, with openings for it'),
                $this->swap($bodyLine, 'Take a larger or better vented body'),
                ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something cooler for {$line->name()}"), $facts->filling(Role::Board)),
            ]));
    }
}
