<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Output;
use PocketPlot\Part\PoweredBy;

/** Packs, wall supplies and converters are metered before anything hangs on them. */
final class MeterSources implements StepSource
{
    /** A supply or converter that misses its volts by more is set wrong or broken. The usual ±5 % of a 5 V rail. */
    private const SHARE = 0.05;

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            if ($line->part->pack !== null && ! $line->part->livesFromOwnCell()) {
                yield $this->pack($line);
            } elseif ($line->part->poweredBy === PoweredBy::Mains) {
                yield $this->supply("meter/{$line->id}", "Meter {$line->name()}", $line,
                    'With nothing connected, and the plus where the plug\'s drawing says.', 5, [Cautions::MAINS, ...$line->part->cautions]);
            } elseif ($line->part->isConverter() && $line->part->outputs !== []) {
                yield $this->supply("set/{$line->id}", "Set and meter {$line->name()}", $line,
                    'Feed it from a current-limited bench supply, set it, and meter before anything hangs on it.', 15, $line->part->cautions);
            }
        }
    }

    private function pack(Line $line): Step
    {
        $pack = $line->part->pack;
        $measures = $pack?->sealed === true
            ? self::outputs($line)
            : [Measure::volts('volts', 'Volts at the pack, full', $pack?->volts() ?? throw new \LogicException('a pack'), $line->id, 'pack')];

        return new Step(
            "meter/{$line->id}",
            Phase::Prove,
            "Meter {$line->name()}",
            'Before anything hangs on it. Far below what passes, or warm, or swollen: do not use it.',
            [$line],
            Minutes::about(5),
            Setup::Meter,
            [Cautions::CELLS],
            Gate::of(...$measures, ...[Measure::yes('sound', 'Not warm, not swollen, no smell')]),
            needs: [Condition::of(Milestone::Charged, $line->id)],
            gives: [Condition::of(Milestone::Metered, $line->id)],
            tools: ['multimeter'],
            isSafety: true,
        );
    }

    /** @param  list<string>  $cautions */
    private function supply(string $id, string $title, Line $line, string $says, int $minutes, array $cautions): Step
    {
        return new Step(
            $id, Phase::Prove, $title, $says, [$line], Minutes::about($minutes), Setup::Meter, $cautions,
            Gate::of(...self::outputs($line), ...[Measure::yes('polarity', 'Plus and minus as drawn')]),
            gives: [Condition::of(Milestone::Metered, $line->id)],
            tools: $line->part->isConverter() ? ['multimeter', 'bench supply'] : ['multimeter'],
            isSafety: true,
        );
    }

    /** @return list<Measure> */
    private static function outputs(Line $line): array
    {
        return array_values(array_map(
            static fn (Output $output): Measure => Measure::volts(
                "volts-{$output->name}",
                "Volts at {$output->name}",
                $output->volts,
                $line->id,
                $output->name,
                self::SHARE,
            ),
            array_filter($line->part->outputs, static fn (Output $output): bool => ! $output->wireless),
        ));
    }
}
