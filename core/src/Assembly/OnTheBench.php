<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;

/** What several kinds of step ask of a build. */
final class OnTheBench
{
    /** What soldering uses up. */
    public const SOLDERING = ['solder', 'hook-up wire', 'heat-shrink'];

    private const RADIO_LINKS = ['bluetooth', 'pad radio'];

    /**
     * @param  list<string>  $things  consumables or tools
     * @return list<Line> lines of the parts list that are one of these
     */
    public static function serving(Facts $facts, array $things): array
    {
        return array_values(array_filter($facts->with('serves'), static fn (Line $line): bool => array_intersect($things, $line->part->work->serves) !== []));
    }

    /** @return list<Line> of this role, without boards that fill it as well */
    public static function apart(Facts $facts, Role $role): array
    {
        $boards = $facts->filling(Role::Board);

        return array_values(array_filter($facts->filling($role), static fn (Line $line): bool => ! in_array($line, $boards, true)));
    }

    /** @return list<Line> fans, which turn; heatsinks do not */
    public static function fans(Facts $facts): array
    {
        return array_values(array_filter($facts->with('cooling'), static fn (Line $line): bool => $line->part->cooling?->fan === true));
    }

    /** @return list<Line> everything that is proved alone: displays, controls, sound and fans */
    public static function provable(Facts $facts): array
    {
        return [
            ...self::apart($facts, Role::Display), ...self::apart($facts, Role::Controls), ...self::apart($facts, Role::Sound), ...self::fans($facts),
        ];
    }

    /** @return list<Line> packs of bare or protected cells that something hangs on */
    public static function openPacks(Facts $facts): array
    {
        return array_values(array_filter(
            $facts->with('pack'),
            static fn (Line $line): bool => $line->part->pack !== null && ! $line->part->pack->sealed && ! $line->part->livesFromOwnCell(),
        ));
    }

    /** @return list<Condition> that what feeds this line was metered; none for a pack's raw volts, which a bench supply stands in for */
    public static function feederReady(Facts $facts, Line $line): array
    {
        $rail = $facts->railOf($line);

        return $rail === null || $rail->isRawPack || $rail->line->id === $line->id ? [] : [Condition::of(Milestone::Metered, $rail->line->id)];
    }

    public static function isRadioPad(Part $part): bool
    {
        return array_intersect(self::RADIO_LINKS, $part->controls->speaks ?? []) !== [];
    }

    /** @return list<string> the ids of the lines */
    public static function ids(Line ...$lines): array
    {
        return array_values(array_map(static fn (Line $line): string => $line->id, $lines));
    }

    /**
     * @param  list<string>  $things
     * @return list<string> those that no line of the parts list is
     */
    public static function unserved(Facts $facts, array $things): array
    {
        $served = array_merge(...array_map(static fn (Line $line): array => $line->part->work->serves, $facts->with('serves')));

        return array_values(array_diff(array_unique($things), $served));
    }
}
