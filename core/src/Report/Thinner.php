<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Arranger;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Part\Part;

/** Which parts decide how thick an arrangement is, and what the next thinner one in the place of each would bring. */
final readonly class Thinner
{
    private Fitted $fitted;

    public function __construct(private Build $build, private Arrangement $found)
    {
        $this->fitted = FitReport::of($build, $build->fit->with(['poses' => $found->poses]))->fitted;
    }

    /** @return list<Line> those of the deciding column, each once */
    public function deciding(): array
    {
        $lines = [];
        foreach (array_map(static fn (PlacedPiece $one): Line => $one->piece->line, ThicknessMap::of($this->fitted)->deciding) as $line) {
            $lines[$line->id] = $line;
        }

        return array_values($lines);
    }

    /**
     * @param  list<Part>  $parts  that might stand in its place
     * @param  callable(): bool  $goOn
     * @return array{line: string, part: string, partMm: float, fromMm: float, toMm: float}|null null when none is thinner
     */
    public function by(Line $line, array $parts, callable $goOn): ?array
    {
        $now = $line->part->size->sidesMm()[2] ?? null;
        $next = null;
        foreach ($parts as $part) {
            $sides = $part->size->sidesMm();
            // As large across as it is now, or nearly: something of another class is no answer.
            if ($now !== null && $sides !== [] && $sides[2] < $now - 0.05 && $sides[0] > 0.6 * $line->part->size->sidesMm()[0]
                && ($next === null || $sides[2] > $next->size->sidesMm()[2])) {
                $next = $part;
            }
        }
        if ($next === null) {
            return null;
        }
        $swapped = $this->build->withSwap($line->id, $next);
        $found = (new Arranger(FitReport::inventory($swapped), $swapped->fit))->arrange($this->found->style, $goOn);
        if (! $found instanceof Arrangement || $found->lost !== []) {
            return null;
        }
        $deep = ThicknessMap::of(FitReport::of($swapped, $swapped->fit->with(['poses' => $found->poses]))->fitted)->deepMm;

        return [
            'line' => $line->id, 'part' => $next->name, 'partMm' => round($next->size->sidesMm()[2], 2),
            'fromMm' => round(ThicknessMap::of($this->fitted)->deepMm, 2), 'toMm' => round($deep, 2),
        ];
    }
}
