<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * How sure a run time is: a seeded sampling, and what each figure and habit is
 * worth. Every figure is drawn apart, the usual value most often (a triangle over its band).
 */
final class Sampling
{
    public const SAMPLES = 500;

    public const SEED = 20261124;

    /** Steps of one even draw. */
    private const EVEN = 1 << 30;

    /** A figure worth less than this share of the run is not worth a line. */
    private const WORTH = 0.01;

    private const KEYS = [
        'capacity' => 'capacity',
        'share' => 'usable share',
        'resistance' => 'internal resistance',
        'cut-off' => 'cut-off',
        'trip' => 'tripping current',
        'cycles' => 'age',
        'draw' => 'draw', 'efficiency' => 'efficiency', 'idle' => 'own idle draw', 'dropout' => 'dropout',
    ];

    /** @param  array<string, float>  $leadOhms  by Feed::key() */
    public function __construct(
        private readonly Build $build,
        private readonly SupplyTree $tree,
        private readonly Line $source,
        private readonly Profile $profile,
        private readonly array $leadOhms = [],
        private readonly ?float $celsius = null,
    ) {}

    /**
     * Hours of so many runs with every figure drawn at random, sorted. The same seed gives the same runs.
     *
     * @param  (callable(int): void)|null  $after  told after each run how many are done
     * @return list<float>
     */
    public function sample(int $runs = self::SAMPLES, int $seed = self::SEED, ?callable $after = null): array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $keys = $this->keys();
        $hours = [];
        for ($run = 1; $run <= $runs; $run++) {
            $own = [];
            foreach ($keys as $key) {
                // The difference of two even draws is a triangle from -1 to 1 with its tip at 0.
                $own[$key] = ($random->getInt(0, self::EVEN) - $random->getInt(0, self::EVEN)) / self::EVEN;
            }
            $circuit = $this->circuit($this->profile, new Assumption(0.0, $own));
            if ($circuit === null) {
                return [];
            }
            $hours[] = Discharge::hours($circuit)->hours;
            if ($after !== null) {
                $after($run);
            }
        }
        sort($hours);

        return $hours;
    }

    /** @return list<Sensitivity> worth most first */
    public function sensitivities(): array
    {
        $usual = $this->hoursOf($this->profile, Assumption::usual());
        if ($usual === null) {
            return [];
        }
        $found = $this->habits();
        foreach ($this->keys() as $key) {
            [$line, $figure] = explode(' ', $key, 2);
            $bad = $this->hoursOf($this->profile, new Assumption(0.0, [$key => -1.0]));
            $good = $this->hoursOf($this->profile, new Assumption(0.0, [$key => 1.0]));
            if ($bad !== null && $good !== null) {
                $name = $this->build->line($line)?->name() ?? $line;
                $found[] = new Sensitivity(ucfirst(self::KEYS[$figure])." of {$name}", $line, 'at its bad end', $bad, 'at its good end', $good);
            }
        }
        $found = array_values(array_filter($found, static fn (Sensitivity $one): bool => $one->worth() > self::WORTH * $usual));
        usort($found, static fn (Sensitivity $a, Sensitivity $b): int => $b->worth() <=> $a->worth());

        return $found;
    }

    /** @return list<Sensitivity> what can be changed by hand: how it is played, light, sound, fan, radio, weather */
    private function habits(): array
    {
        $profile = $this->profile;
        $parts = array_map(static fn (Feed $feed): Part => $feed->line->part, array_values($this->tree->feeds));
        /** @param  callable(Part): bool  $test */
        $has = static fn (callable $test): bool => array_filter($parts, $test) !== [];
        $ways = [['How it is played', 'flat out', $profile->playing(0.0, 0.0, 1.0), 'idle', $profile->playing(1.0, 0.0, 0.0)]];
        if ($has(static fn (Part $part): bool => $part->panel !== null)) {
            $ways[] = ['Brightness of the panel', 'full light', $profile->with(brightness: 1.0), 'dimmed', $profile->with(brightness: 0.0)];
        }
        if ($has(static fn (Part $part): bool => $part->amp !== null && $part->software === null)) {
            $ways[] = ['Volume', 'full', $profile->with(volume: 1.0), 'silent', $profile->with(volume: 0.0)];
        }
        if ($has(static fn (Part $part): bool => $part->cooling?->fan === true)) {
            $ways[] = ['Speed of the fan', 'full', $profile->with(fan: 1.0), 'still', $profile->with(fan: 0.0)];
        }
        if ($has(static fn (Part $part): bool => $part->radio !== [] && $part->role === Role::Cable)) {
            $ways[] = ['Radio', 'on', $profile->with(radio: true), 'off', $profile->with(radio: false)];
        }
        $found = [];
        foreach ($ways as [$what, $badSays, $bad, $goodSays, $good]) {
            $short = $this->hoursOf($bad, Assumption::usual());
            $long = $this->hoursOf($good, Assumption::usual());
            if ($short !== null && $long !== null) {
                $found[] = new Sensitivity($what, null, $badSays, $short, $goodSays, $long);
            }
        }
        $frost = $this->hoursOf($profile, Assumption::usual(), 0.0);
        $warm = $this->hoursOf($profile, Assumption::usual(), 25.0);

        return $frost === null || $warm === null ? $found : [...$found, new Sensitivity('Cold', null, 'at 0 °C', $frost, 'at 25 °C', $warm)];
    }

    private function hoursOf(Profile $profile, Assumption $at, ?float $celsius = null): ?float
    {
        try {
            $circuit = $this->circuit($profile, $at, $celsius);

            return $circuit === null ? null : Discharge::hours($circuit)->hours;
        } catch (NoBalance) {
            return 0.0;
        }
    }

    private function circuit(Profile $profile, Assumption $at, ?float $celsius = null): ?Circuit
    {
        return Circuit::of(
            $this->build,
            $this->tree,
            $this->source,
            $profile,
            $at,
            $this->leadOhms,
            $celsius ?? $this->celsius ?? $this->build->brief->roomC,
            new Gaps,
        );
    }

    /** @return list<string> of the figures that have a band */
    private function keys(): array
    {
        $circuit = $this->circuit($this->profile, Assumption::usual());
        if ($circuit === null) {
            return [];
        }
        $keys = [];
        foreach ($circuit->cells as $cells) {
            foreach (['capacity', 'share', 'resistance', 'cut-off', 'trip', 'cycles'] as $figure) {
                $keys["{$cells->line->id} {$figure}"] = true;
            }
        }
        foreach ($circuit->branches as $branch) {
            $keys += self::keysOf($branch);
        }
        foreach ($circuit->stages as $stage) {
            $keys += self::keysBehind($stage);
        }

        return array_keys($keys);
    }

    /** @return array<string, true> */
    private static function keysOf(Branch $branch): array
    {
        $keys = ["{$branch->line->id} draw" => true];
        foreach ($branch->stages as $stage) {
            $keys += self::keysBehind($stage);
        }

        return $keys;
    }

    /** @return array<string, true> */
    private static function keysBehind(OutputStage $stage): array
    {
        $keys = ["{$stage->line->id} efficiency" => true, "{$stage->line->id} idle" => true, "{$stage->line->id} dropout" => true];
        foreach ($stage->branches as $branch) {
            $keys += self::keysOf($branch);
        }

        return $keys;
    }
}
