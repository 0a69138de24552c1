<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Alone;
use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** Each pack is charged full before the first power-on, and each radio pad before it is paired. */
final class ChargePack implements StepSource
{
    /** Hours where nobody knows the charger's current. Our estimate. */
    private const USUAL_HOURS = 3.0;

    /** A charge takes so much longer than capacity over current: the current falls off at the end. Usual of constant current, constant volts. */
    private const FALL_OFF = 1.2;

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->with('pack') as $line) {
            if ($line->part->pack?->isRechargeable() !== true) {
                continue;
            }
            $charger = $facts->chargerOf($line);
            [$wall] = $charger === null ? [null] : $facts->chargeSourceOf($charger);
            yield new Step(
                "charge/{$line->id}",
                Phase::Prove,
                "Charge {$line->name()}",
                'Charge it full before the first power-on, on a surface that does not burn, and stay in the room.',
                array_values(array_filter([$line, $charger, $wall])),
                Minutes::about(10),
                cautions: [Cautions::CELLS, ...$line->part->cautions],
                needs: [
                    Condition::of(Milestone::Protected_, $line->id),
                    ...($wall === null ? [] : [Condition::of(Milestone::Metered, $wall->id)]),
                ],
                gives: [Condition::of(Milestone::Charged, $line->id)],
                alone: new Alone("{$line->name()} charges", self::hours($line, $charger), true),
                isSafety: true,
            );
        }
        foreach ([...$facts->with('controls'), ...$facts->with('gauge')] as $line) {
            // A radio pad and a phone have a cell of their own, whether somebody wrote it down or not.
            $isPhone = $line->part->panel !== null && $line->part->software !== null && $line->part->gauge !== null;
            if ($line->part->pack === null && ($isPhone || ($line->part->supply === null && OnTheBench::isRadioPad($line->part)))) {
                yield new Step(
                    "charge/{$line->id}",
                    Phase::Prove,
                    $isPhone ? "Charge {$line->name()}" : "Charge {$line->name()}, or put fresh cells in",
                    $isPhone ? 'Full before its first start. One that gets hot or has swollen is not used.' : 'A pad that is flat does not pair, and looks broken.',
                    [$line],
                    Minutes::about(5),
                    cautions: $isPhone ? [Cautions::CELLS, ...$line->part->cautions] : $line->part->cautions,
                    gives: [Condition::of(Milestone::Charged, $line->id)],
                    alone: new Alone("{$line->name()} charges", self::USUAL_HOURS, true),
                );
            }
        }
    }

    private static function hours(Line $line, ?Line $charger): float
    {
        $current = $charger?->part->charger?->chargeMa->usual;
        $capacity = $line->part->pack?->capacityMah->usual;

        return $current === null || $capacity === null || $current <= 0.0 ? self::USUAL_HOURS : self::FALL_OFF * $capacity / $current;
    }
}
