<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PinNeeds;
use PocketPlot\Part\Pins;
use PocketPlot\Part\Role;
use PocketPlot\Wiring\PinPlan;

final class PinAssignment extends WholeRule
{
    /** Volts by which two logic levels may differ before a pin can be harmed or misread. */
    private const LEVEL_V = 0.5;

    public static function meta(): Meta
    {
        return new Meta(
            'control.pins',
            'Panel, sound and controls together find their contacts on the board; one assignment is shown.',
            ['pins.does', 'pins.logicV', 'pinNeeds.logicV'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $needing = $facts->with('pinNeeds');
        $host = $facts->with('pins')[0] ?? null;
        if ($needing === []) {
            return;
        }
        if ($host === null || $host->part->pins === null) {
            $board = $facts->board();
            if ($board !== null) {
                yield $this->unmeasured($board, 'pins.does', $needing, [], '', 'nobody can say whether all of them find a contact');
            }

            return;
        }
        $pins = $host->part->pins;
        $wants = [];
        foreach ($needing as $line) {
            $needs = $line->part->pinNeeds;
            if ($needs === null || $line->id === $host->id) {
                continue;
            }
            foreach ($needs->wants as $function => $count) {
                if ($count * $line->quantity > 0) {
                    $wants[] = ['who' => $line->name(), 'function' => (string) $function, 'count' => $count * $line->quantity];
                }
            }
            $finding = $this->level($line, $needs, $host, $pins);
            if ($finding !== null) {
                yield $finding;
            }
        }
        if ($wants === []) {
            return;
        }
        yield $this->plan($wants, $host, $pins, $needing);
    }

    /**
     * @param  non-empty-list<array{who: string, function: string, count: int}>  $wants
     * @param  list<Line>  $needing
     */
    private function plan(array $wants, Line $host, Pins $pins, array $needing): Finding
    {
        // The pickiest first keeps the plan readable; the method finds a plan in any order.
        usort($wants, static fn (array $a, array $b): int => ($a['function'] === 'gpio') <=> ($b['function'] === 'gpio'));
        $plan = PinPlan::of($pins->does, $wants);
        $working = [];
        foreach ($plan['assigned'] as $pin => $want) {
            $working[] = $this->text((string) $pin, "{$want['who']}: {$want['function']}", 'worked out');
        }
        $free = count($pins->does) - count($plan['assigned']);
        $lines = [$host, ...$needing];
        if ($plan['unmet'] === []) {
            return $this->answer(
                Verdict::Fits,
                $lines,
                fn (): Words => new Words(
                    array_sum(array_column($wants, 'count'))." contacts find a pin on {$host->name()}; {$free} stay free.",
                    $working,
                    'an assignment exists',
                ),
                'plan',
            );
        }
        $lacking = [];
        foreach ($plan['unmet'] as $want) {
            $what = "{$want['function']} for {$want['who']}";
            $lacking[$what] = ($lacking[$what] ?? 0) + $want['count'];
        }

        return $this->answer(Verdict::Clash, $lines,
            fn (): Words => new Words("{$host->name()} lacks pins: "
                .implode(', ', array_map(static fn (string $what, int $count): string => "{$count} {$what}", array_keys($lacking), $lacking))
                .'.', $working, 'whichever way they are shared out', [
                    ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something with fewer wires for {$line->name()}"), $needing),
                    $this->swap($host, 'Take a board with more pins'),
                    Remedy::add(Role::Controls, 'Add a controller board that brings its own'),
                ]), 'plan');
    }

    private function level(Line $line, PinNeeds $needs, Line $host, Pins $pins): ?Finding
    {
        foreach ([[$host, $pins->logicV, 'pins.logicV'], [$line, $needs->logicV, 'pinNeeds.logicV']] as [$owner, $level, $figure]) {
            if (! $level->isKnown()) {
                return $this->unmeasured($owner, $figure, [$owner === $host ? $line : $host], [], "{$line->id}/level");
            }
        }
        $over = $needs->logicV->usual() - $pins->logicV->usual();

        return $over <= self::LEVEL_V ? null : $this->answer(Verdict::Clash, [$line, $host],
            fn (): Words => new Words("{$line->name()} speaks {$needs->logicV->says()}; the pins of {$host->name()} stand {$pins->logicV->says()}.", [
                $this->row("{$host->name()}, logic level", $pins->logicV),
                $this->row("{$line->name()}, logic level", $needs->logicV),
            ], 'more volts than the pins are made for', [
                $this->swap($line, 'Take one of the same logic level'), Remedy::byHand('A level shifter or a divider in each line from it to the board.'),
            ]), "{$line->id}/level");
    }
}
