<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Build\Pose;
use PocketPlot\Part\Role;
use PocketPlot\Part\Sits;
use PocketPlot\Part\YesNo;

/** One solid piece that has to find its place: the line it belongs to, its shape, and what it is like. */
final readonly class Piece
{
    /** Watts from which a part counts as hot: what a small board gives away without getting warm to the touch. */
    private const HOT_W = 1.0;

    private function __construct(
        public Line $line,
        public int $number,
        public Shape $shape,
        public bool $isFace,
        public bool $isControl,
        public bool $isPanel,
        public bool $isCell,
        public bool $isHot,
        public bool $isCoil,
        public bool $isMetal,
        /** Whether its contacts have no cover. */
        public YesNo $bare,
        /** Millimetres that a button of it moves; null when nobody says. */
        public ?float $travelMm,
        /** How many pieces of its pack lie apart; 1 when it is whole. */
        public int $split,
    ) {}

    /** @return list<self> one for each piece of a line; empty when it has no size */
    public static function ofLine(Line $line, bool $isSplit): array
    {
        $shape = Shape::of($line->part);
        if ($shape === null) {
            return [];
        }
        $part = $line->part;
        $split = $isSplit ? self::mayLieApart($line) : 1;
        $shape = $split > 1 ? $shape->split($split) : $shape;
        $pieces = [];
        for ($number = 1; $number <= $line->quantity * $split; $number++) {
            $isFace = $part->sits === Sits::Face;
            $pieces[] = new self(
                $line, $number, $shape, $isFace, $isFace && $part->controls !== null, $isFace && $part->panel !== null,
                $part->pack !== null,
                $part->pack === null && self::wattsOf($line) >= self::HOT_W,
                $part->coil?->side === 'receiver',
                $part->size->isMetal() || $part->pack !== null,
                $line->bare(),
                $part->controls?->travelMm?->most,
                $split,
            );
        }

        return $pieces;
    }

    /** A computer of which nobody knows what it turns into heat counts as hot. */
    private static function wattsOf(Line $line): float
    {
        return $line->part->heat->watts->most ?? ($line->role === Role::Board && $line->part->software !== null ? self::HOT_W : 0.0);
    }

    /** Into how many pieces a pack may be taken apart: its cells in parallel, where that is said to be possible. */
    public static function mayLieApart(Line $line): int
    {
        $pack = $line->part->pack;

        return $pack !== null && ! $pack->sealed && $pack->canSplit === YesNo::Yes ? max(1, $pack->parallel) : 1;
    }

    /** What bends, or lies in a slot or a bag, takes room but has no place of its own. */
    public static function isSoft(Line $line): bool
    {
        $part = $line->part;
        $sides = $part->size->sidesMm();

        return match ($line->role) {
            Role::Fastener => true,
            Role::Cable => $part->radio === [] && $part->supply === null,
            Role::Material => $part->fuse === null,
            Role::Storage => $sides === [] || $sides[2] <= 2.5,
            default => false,
        };
    }

    public function key(): string
    {
        return Pose::keyOf($this->line->id, $this->number);
    }

    public function name(): string
    {
        return $this->line->name().($this->line->quantity * $this->split > 1 ? " no. {$this->number}" : '');
    }
}
