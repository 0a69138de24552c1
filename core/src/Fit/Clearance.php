<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * Whether pieces lie clear of each other and of what stands in the room. The one meaning of "clear" that search, exact
 * search and judgement share.
 *
 * @phpstan-type Point array{float, float, float}
 */
final readonly class Clearance
{
    public const NEARLY = 1e-6;

    /** @var list<array{float, float, float, float, float, float}> */
    private array $ribs;

    /** @var list<string> */
    private array $ribNames;

    /** @param  list<list<Gap>>  $gaps */
    public function __construct(private array $gaps, Room $room)
    {
        $this->ribs = array_map(static fn (Box $rib): array => [$rib->x, $rib->y, $rib->z, $rib->l, $rib->w, $rib->h], $room->ribs);
        $this->ribNames = array_map(static fn (Box $rib): string => $rib->name, $room->ribs);
    }

    /**
     * @param  Point  $a  where the first lies
     * @param  Point  $b
     */
    public function areClear(int $i, Orientation $one, array $a, int $j, Orientation $other, array $b): bool
    {
        $gap = $this->gaps[$i][$j];
        $isApart = self::apart($gap, $a, $one->sides, $b, $other->sides);
        if ($isApart ? $one->free === [] && $other->free === [] : $one->isOneBlock && $other->isOneBlock) {
            return $isApart;
        }

        return ($isApart || self::blocksApart($gap, $one->solid, $a, $other->solid, $b))
            && self::roomsApart($one->free, $a, $other->solid, $b) && self::roomsApart($other->free, $b, $one->solid, $a);
    }

    /** @param  Point  $at */
    public function isClearOfRibs(Orientation $laid, array $at): bool
    {
        $ribs = $laid->postName === ''
            ? $this->ribs
            : array_values(array_filter($this->ribs, fn (int $nth): bool => $this->ribNames[$nth] !== $laid->postName, ARRAY_FILTER_USE_KEY));

        return $ribs === [] || self::roomsApart($laid->solid, $at, $ribs, [0.0, 0.0, 0.0]);
    }

    /**
     * @param  Point  $a
     * @param  Point  $s
     * @param  Point  $b
     * @param  Point  $t
     */
    private static function apart(Gap $gap, array $a, array $s, array $b, array $t): bool
    {
        $beside = $gap->besideMm - self::NEARLY;
        $layer = $gap->layerMm - self::NEARLY;
        $ways = $gap->ways;

        return (($ways & Gap::X) && ($beside <= $b[0] - $a[0] - $s[0] || $beside <= $a[0] - $b[0] - $t[0]))
            || (($ways & Gap::Y) && ($beside <= $b[1] - $a[1] - $s[1] || $beside <= $a[1] - $b[1] - $t[1]))
            || (($ways & Gap::BEFORE) && $layer <= $b[2] - $a[2] - $s[2])
            || (($ways & Gap::BEHIND) && $layer <= $a[2] - $b[2] - $t[2]);
    }

    /**
     * @param  list<array{float, float, float, float, float, float}>  $ones
     * @param  Point  $a
     * @param  list<array{float, float, float, float, float, float}>  $others
     * @param  Point  $b
     */
    private static function blocksApart(Gap $gap, array $ones, array $a, array $others, array $b): bool
    {
        foreach ($ones as $p) {
            foreach ($others as $q) {
                if (! self::apart(
                    $gap,
                    [$a[0] + $p[0], $a[1] + $p[1], $a[2] + $p[2]], [$p[3], $p[4], $p[5]],
                    [$b[0] + $q[0], $b[1] + $q[1], $b[2] + $q[2]], [$q[3], $q[4], $q[5]],
                )) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Whether nothing solid reaches into what has to stay empty.
     *
     * @param  list<array{float, float, float, float, float, float}>  $rooms
     * @param  Point  $a
     * @param  list<array{float, float, float, float, float, float}>  $solids
     * @param  Point  $b
     */
    private static function roomsApart(array $rooms, array $a, array $solids, array $b): bool
    {
        return $rooms === [] || self::blocksApart(new Gap(0.0, 0.0), $rooms, $a, $solids, $b);
    }
}
