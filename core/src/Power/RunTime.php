<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Quantity\Figure;

/**
 * Hours on one charge.
 *
 * Run time = pack watt-hours × usable share ÷ watts at the pack; the watts already hold the
 * converters' losses. Least takes the smallest pack and the heaviest play, most the reverse.
 * With several packs that feed loads, the first to give up ends the play.
 */
final readonly class RunTime
{
    /**
     * @param  list<Missing>  $missing
     */
    private function __construct(
        public Figure $hours,
        public ?Line $pack,
        public Figure $wattHours,
        public Figure $usableShare,
        public Figure $watts,
        public array $missing,
    ) {}

    /** In hours; unknown without a pack that feeds something, or while a figure is missing. */
    public static function of(Build $build, SupplyTree $tree): self
    {
        $shortest = null;
        foreach ($build->chosen() as $line) {
            if ($line->part->pack === null) {
                continue;
            }
            $one = self::ofPack($line, $tree);
            $feedsSomething = ! $one->watts->isKnown() || $one->watts->most() > 0.0;
            if (! $feedsSomething) {
                continue;
            }
            if ($shortest === null || ! $one->hours->isKnown() || ($shortest->hours->isKnown() && $one->hours->usual() < $shortest->hours->usual())) {
                $shortest = $one;
            }
        }
        $unknown = Figure::unknown('W');

        return $shortest ?? new self(Figure::unknown('h'), null, Figure::unknown('Wh'), Figure::unknown(''), $unknown, []);
    }

    private static function ofPack(Line $line, SupplyTree $tree): self
    {
        $pack = $line->part->pack ?? throw new \LogicException('a line without a pack has no run time');
        [$watts, , $missing] = $tree->wattsFrom($line);
        $energy = $pack->wattHours()->times($line->quantity);
        if (! $pack->capacityMah->isKnown()) {
            $missing[] = new Missing($line, 'pack.capacityMah');
        } elseif (! $energy->isKnown()) {
            $missing[] = new Missing($line, 'pack.cellNominalV');
        }
        $share = $pack->usableShare;
        if (! $share->isKnown()) {
            $missing[] = new Missing($line, 'pack.usableShare');
        }
        $hours = ! $watts->isKnown() || ! $energy->isKnown() || ! $share->isKnown() || $watts->least() <= 0.0
            ? Figure::unknown('h')
            : Figure::band(
                $energy->least() * $share->least() / $watts->most(),
                $energy->usual() * $share->usual() / $watts->usual(),
                $energy->most() * $share->most() / $watts->least(),
                'h',
            );

        return new self($hours, $line, $energy, $share, $watts, $missing);
    }
}
