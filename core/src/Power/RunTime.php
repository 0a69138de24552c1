<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Quantity\Figure;

/**
 * Hours on one charge, out of the discharge of the real supply tree.
 *
 * Least is the heaviest way of playing with every figure at its bad end, most the lightest with every figure
 * at its good end, usual the first way of playing as it usually goes. With several packs that feed loads,
 * the first to give up ends the play.
 */
final readonly class RunTime
{
    /**
     * @param  list<Missing>  $missing  figures without which nothing can be said
     * @param  list<Missing>  $assumed  figures for which something else stood in
     */
    private function __construct(
        public Figure $hours,
        public ?Line $pack,
        public array $missing,
        public array $assumed,
        /** The first way of playing, the heaviest, the lightest. */
        public ?Profile $main,
        public ?Profile $heaviest,
        public ?Profile $lightest,
        /** How the usual run of the first way of playing ends. */
        public ?RunEnd $usual,
        /** How the shortest run ends. */
        public ?RunEnd $shortest,
        public Figure $wattHours,
        /** Watts out of the pack half full: lightest at its best, usual, heaviest at its worst. */
        public Figure $watts,
    ) {}

    /**
     * @param  array<string, float>  $leadOhms  by Feed::key()
     *
     * In hours; unknown without a pack that feeds something, or while a figure is missing.
     */
    public static function of(Build $build, SupplyTree $tree, array $leadOhms = []): self
    {
        $shortest = null;
        foreach ($tree->sources() as $line) {
            if ($line->part->pack === null) {
                continue;
            }
            $one = self::from($line, $build, $tree, $leadOhms);
            $one = $one->and(self::afterwards($line, $build, $tree, $leadOhms));
            if ($shortest === null || ! $one->hours->isKnown() || ($shortest->hours->isKnown() && $one->hours->usual() < $shortest->hours->usual())) {
                $shortest = $one;
            }
        }

        return $shortest ?? new self(Figure::unknown('h'), null, [], [], null, null, null, null, null, Figure::unknown('Wh'), Figure::unknown('W'));
    }

    /**
     * What plays on from its own cell when a bank that fed it is empty.
     *
     * @param  array<string, float>  $leadOhms
     */
    private static function afterwards(Line $bank, Build $build, SupplyTree $tree, array $leadOhms): ?self
    {
        foreach ($tree->feeds as $feed) {
            $fed = $feed->line;
            if ($tree->rails[$feed->railId]->line === $bank && $fed !== $bank && $fed->part->livesFromOwnCell()) {
                $alone = $build->without($bank->id);

                return self::from($fed, $alone, new SupplyTree($alone), $leadOhms);
            }
        }

        return null;
    }

    private function and(?self $other): self
    {
        if ($other === null || ! $this->hours->isKnown() || ! $other->hours->isKnown()) {
            return $this;
        }

        return new self(
            $this->hours->plus($other->hours), $this->pack, $this->missing, [
                ...$this->assumed,
                ...$other->assumed,
            ], $this->main, $this->heaviest, $this->lightest,
            $other->usual, $other->shortest, $this->wattHours->plus($other->wattHours), $this->watts,
        );
    }

    /** @param  array<string, float>  $leadOhms */
    private static function from(Line $line, Build $build, SupplyTree $tree, array $leadOhms): self
    {
        $gaps = new Gaps;
        $celsius = $build->brief->roomC;
        $energy = $line->part->pack?->wattHours()->times($line->quantity) ?? Figure::unknown('Wh');
        $circuit = static fn (Profile $profile, Assumption $at): ?Circuit => Circuit::of($build, $tree, $line, $profile, $at, $leadOhms, $celsius, $gaps);
        try {
            $profiles = $build->profilesOrDefaults();
            $first = $circuit($profiles[0], Assumption::usual());
            if ($first === null) {
                return new self(
                    Figure::unknown('h'),
                    $line,
                    $gaps->allMissing(),
                    $gaps->allAssumed(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    $energy,
                    Figure::unknown('W'),
                );
            }
            [$lightest, $heaviest] = $build->profiles === []
                ? [$profiles[1] ?? $profiles[0], $profiles[2] ?? $profiles[0]]
                : self::ends($profiles, $first, $circuit);
            $usual = Discharge::hours($first);
            $worst = $circuit($heaviest, Assumption::worst());
            $best = $circuit($lightest, Assumption::best());
            $watts = self::band(self::wattsHalfFull($best ?? $first), self::wattsHalfFull($first), self::wattsHalfFull($worst ?? $first), 'W');
            $shortest = $worst === null ? $usual : Discharge::hours($worst);
            $longest = $best === null ? $usual : Discharge::hours($best);
        } catch (BadSupply $bad) {
            return new self(
                Figure::unknown('h'),
                $line,
                [new Missing($bad->where, $bad->figure)],
                [],
                null,
                null,
                null,
                null,
                null,
                $energy,
                Figure::unknown('W'),
            );
        }

        return new self(
            self::band($shortest->hours, $usual->hours, $longest->hours, 'h'),
            $line, [], $gaps->allAssumed(), $profiles[0], $heaviest, $lightest, $usual, $shortest, $energy, $watts,
        );
    }

    /** Unknown where any of the three has no bound. */
    private static function band(float $least, float $usual, float $most, string $unit): Figure
    {
        return is_finite($least) && is_finite($usual) && is_finite($most)
            ? Figure::band(min($least, $usual), $usual, max($most, $usual), $unit)
            : Figure::unknown($unit);
    }

    /**
     * @param  non-empty-list<Profile>  $profiles
     * @param  callable(Profile, Assumption): ?Circuit  $circuit
     * @return array{Profile, Profile} the lightest and the heaviest way of playing
     */
    private static function ends(array $profiles, Circuit $first, callable $circuit): array
    {
        if (count($profiles) === 1) {
            return [$profiles[0], $profiles[0]];
        }
        $watts = [self::wattsHalfFull($first)];
        foreach (array_slice($profiles, 1) as $profile) {
            $one = $circuit($profile, Assumption::usual());
            $watts[] = $one === null ? $watts[0] : self::wattsHalfFull($one);
        }

        return [$profiles[(int) array_search(min($watts), $watts, true)], $profiles[(int) array_search(max($watts), $watts, true)]];
    }

    /** Without bound where the half-full pack cannot push it through. */
    private static function wattsHalfFull(Circuit $circuit): float
    {
        [$rest, $ohm] = OperatingPoint::together($circuit, array_fill(0, count($circuit->cells), 0.5));
        $watts = 0.0;
        try {
            foreach ($circuit->shares as $state => $share) {
                [$volts, $amps] = $circuit->balance($rest, $ohm, $state);
                $watts += $share * $volts * $amps;
            }
        } catch (NoBalance) {
            return INF;
        }

        return $watts;
    }
}
