<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** What the board has to be told about its panel, its sound and its pads, as one text. */
final class SetLines implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $board = $facts->board();
        $software = $board?->part->software;
        if ($board === null || $software === null) {
            return;
        }
        $parts = $text = [];
        foreach ($facts->with('drivers') as $line) {
            $lines = self::linesFor($line, $software->family);
            if ($lines !== [] && $line->id !== $board->id) {
                $parts[] = $line;
                $text[] = "# {$line->name()}";
                array_push($text, ...$lines);
            }
        }
        if ($parts !== []) {
            yield new Step(
                "lines/{$board->id}",
                Phase::Prove,
                "Tell {$board->name()} about its parts",
                'Add these lines to the board\'s set-up on the card, before the parts are plugged in. Keep a copy with the build.',
                [$board],
                Minutes::about(15),
                Setup::Computer,
                needs: [Condition::of(Milestone::Imaged, $board->id)],
                gives: Condition::each(Milestone::Lined, array_map(static fn (Line $line): string => $line->id, $parts)),
                tools: ['card writer'],
                text: implode("\n", $text),
            );
        }
    }

    /** @return list<string> */
    private static function linesFor(Line $line, string $family): array
    {
        foreach ($line->part->drivers as $driver) {
            if ($driver->family === $family || $driver->family === '*') {
                return $driver->lines;
            }
        }

        return [];
    }
}
