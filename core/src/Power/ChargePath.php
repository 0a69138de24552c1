<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Charger;
use PocketPlot\Part\Output;
use PocketPlot\Part\Pack;
use PocketPlot\Part\PoweredBy;

/** Which charger of the parts list fills a pack, and what feeds that charger. */
final readonly class ChargePath
{
    private function __construct(public Line $line, public Charger $charger, public ?Line $source, public ?Output $output) {}

    /** Null when nothing in the parts list is made for this pack. */
    public static function of(Build $build, Pack $pack): ?self
    {
        $line = $build->chargerOf($pack);
        if ($line?->part->charger === null) {
            return null;
        }
        [$source, $output] = self::sourceFor($build, $line, $line->part->charger);

        return new self($line, $line->part->charger, $source, $output);
    }

    /** Whether it is powered by the sun: what the source is said to give, it gives in full sun only. */
    public function isInSun(): bool
    {
        return $this->source?->part->poweredBy === PoweredBy::Sun;
    }

    /** @return array{?Line, ?Output} the wall supply or solar panel whose volts suit the charger best */
    public static function sourceFor(Build $build, Line $line, Charger $charger): array
    {
        $best = [null, null, INF];
        foreach ($build->chosen() as $other) {
            foreach ($other->part->poweredBy !== PoweredBy::ItsOwn && $other->id !== $line->id ? $other->part->outputs : [] as $output) {
                $off = ! $output->volts->isKnown() || ! $charger->inputVolts->isKnown() ? 1.0
                    : max(0.0, $charger->inputVolts->least() - $output->volts->most()) + max(0.0, $output->volts->most() - $charger->inputVolts->most());
                if ($off < $best[2]) {
                    $best = [$other, $output, $off];
                }
            }
        }

        return [$best[0], $best[1]];
    }
}
