<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Protection;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Figure;

/** What cuts a pack off as its volts fall: its own protection or a board's. Where both are known, the one that comes first. */
final readonly class CutOff
{
    /**
     * @param  ?Line  $by  the pack itself or the board; null when nothing is known to cut it off
     * @param  Figure  $volts  of the whole row
     * @param  Figure  $recoveryV  recovery voltage of the whole pack
     */
    private function __construct(public ?Line $by, public Figure $volts, public Figure $recoveryV, public YesNo $latches, private string $facet) {}

    /**
     * Known volts go before unknown ones: one protection that is known to come in time is enough.
     *
     * @param  Line  $line  the pack's
     */
    public static function of(Build $build, Line $line, Pack $pack): self
    {
        $board = $build->protectorOf($pack);
        $guard = $board?->part->protector;
        $own = new self($pack->protection === Protection::BuiltIn ? $line : null, $pack->cutOffV, $pack->recoveryV, $pack->latches, 'pack');
        if ($board === null || $guard === null) {
            return $own;
        }
        $isFirst = $own->by !== null && $own->volts->isKnown() && (! $guard->cutOffV->isKnown() || $own->volts->usual() > $guard->cutOffV->usual());

        return $isFirst ? $own : new self($board, $guard->cutOffV, $guard->recoveryV, $guard->latches, 'protector');
    }

    /** The volts of a pack down to where it is cut off, which may lie above or below what its maker calls empty. */
    public function from(Figure $volts): Figure
    {
        $cut = $this->by === null ? null : $this->volts->usual;
        if ($cut === null || ! $volts->isKnown() || $cut <= 0.0 || $cut >= $volts->usual()) {
            return $volts;
        }

        return Figure::band($cut, $volts->usual(), $volts->most(), 'V', $volts->source);
    }

    /** Which of its figures is meant: "cutOffV", "recoveryV", "latches". */
    public function ref(string $field): FigureRef
    {
        return FigureRef::of($this->facet, $field);
    }
}
