<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PinNeeds;
use PocketPlot\Part\Pins;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;
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
            foreach ($needs->takes === [] ? $needs->wants : [] as $function => $count) {
                if ($count * $line->quantity > 0) {
                    $wants[] = ['who' => $line->name(), 'function' => (string) $function, 'count' => $count * $line->quantity];
                }
            }
            $finding = $this->level($line, $needs, $host, $pins, $facts);
            if ($finding !== null) {
                yield $finding;
            }
        }
        foreach ([$this->taken($host, $needing), $this->cannot($host, $pins, $needing)] as $finding) {
            if ($finding !== null) {
                yield $finding;
            }
        }
        if ($wants === []) {
            return;
        }
        // What named parts have taken is gone for the others.
        $gone = array_merge(...array_map(static fn (Line $line): array => $line->part->pinNeeds->takes ?? [], $needing));
        yield $this->plan($wants, $host, new Pins($pins->logicV, array_diff_key($pins->does, array_flip($gone)), $pins->absoluteMaxV), $needing);
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
                    ucfirst(Phrase::count((int) array_sum(array_column($wants, 'count')), 'contacts'))
                        .(array_sum(array_column($wants, 'count')) === 1 ? ' finds' : ' find')
                        ." a pin on {$host->name()}; ".match ($free) {
                            0 => 'none stays free.', 1 => 'one stays free.', default => "{$free} stay free."
                        },
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
                .implode(', ', array_map(static fn (string $what, int $count): string => "{$count} × {$what}", array_keys($lacking), $lacking))
                .'.', $working, 'whichever way they are shared out', [
                    ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something with fewer wires for {$line->name()}"), $needing),
                    $this->swap($host, 'Take a board with more pins'),
                    Remedy::add(Role::Controls, 'Add a controller board that brings its own'),
                ]), 'plan');
    }

    /**
     * What a part puts on the board's pins, and whether it hears them. A part without supply of its own (a button, a piezo)
     * lives from the pins and has no level; one that says nothing has that of its rail.
     */
    private function level(Line $line, PinNeeds $needs, Line $host, Pins $pins, Facts $facts): ?Finding
    {
        if (! $pins->logicV->isKnown()) {
            return $this->unmeasured($host, 'pins.logicV', [$line], [], "{$line->id}/level");
        }
        $rail = $facts->giverOf($line);
        $own = $needs->logicV;
        if (! $own->isKnown() || $needs->followsSupply === YesNo::Yes) {
            $isFed = $line->part->supplies !== [] && ! self::isOnlyDriven($line);
            if (! $isFed) {
                return null;
            }
            if ($rail === null || ! $rail->volts->isKnown()) {
                return $own->isKnown() ? null : $this->unmeasured($line, 'pinNeeds.logicV', [$host], [], "{$line->id}/level");
            }
            $own = $rail->volts;
        }
        $bears = $pins->absoluteMaxV?->isKnown() === true ? $pins->absoluteMaxV->least() : $pins->logicV->usual() + self::LEVEL_V;
        $fedWith = $rail !== null && $rail->volts->isKnown() ? $rail->volts : null;
        $hears = $needs->highShare?->isKnown() === true && $fedWith !== null ? $needs->highShare->most() * $fedWith->most() : null;
        $isListener = $needs->highShare?->isKnown() === true && $needs->followsSupply !== YesNo::Yes;
        if ($hears !== null && $hears > $pins->logicV->least()) {
            return $this->answer(Verdict::Clash, [$line, $host], fn (): Words => new Words(
                sprintf('%s takes a signal for high from %s V; the pins of %s give %s.', $line->name(), self::n($hears), $host->name(), $pins->logicV->says()),
                [$this->row("{$host->name()}, logic level", $pins->logicV), $this->row("{$line->name()} is fed with", $fedWith)],
                'too few volts for a high',
                [
                    $this->swap($line, 'Take one of the same logic level'),
                    Remedy::byHand('Feed it with fewer volts within its window, or put a level shifter into its line.'),
                ],
            ), "{$line->id}/level");
        }
        if ($isListener || $own->most() <= $bears + 1e-9) {
            return null;
        }

        return $this->answer(Verdict::Clash, [$line, $host],
            fn (): Words => new Words("{$line->name()} puts {$own->says()} on pins of {$host->name()} that bear ".self::n($bears).' V.', [
                $this->row("{$host->name()}, logic level", $pins->logicV),
                $this->row("{$line->name()}, logic level", $own),
                $this->count('The pins bear', $bears, 'V', 'datasheet'),
            ], 'more volts than the pins are made for', [
                $this->swap($line, 'Take one of the same logic level'),
                Remedy::byHand(
                    'Feed it from the board\'s own logic rail if its window begins there; else a level shifter or a divider in each line from it to the board.',
                ),
            ]), "{$line->id}/level");
    }

    /** A sounder or lamp that the pins drive by themselves. */
    private static function isOnlyDriven(Line $line): bool
    {
        return $line->part->speaker?->piezo === true;
    }

    /**
     * Pins that two parts have to have and that are no bus between them.
     *
     * @param  list<Line>  $needing
     */
    private function taken(Line $host, array $needing): ?Finding
    {
        $users = [];
        foreach ($needing as $line) {
            foreach ($line->part->pinNeeds->takes ?? [] as $pin) {
                $users[$pin][] = $line;
            }
        }
        $twice = array_filter($users, static fn (array $lines, string $pin): bool => count($lines) > 1
            && array_filter($lines, static fn (Line $line): bool => ! in_array($pin, $line->part->pinNeeds->shares ?? [], true)) !== [], ARRAY_FILTER_USE_BOTH);
        if ($twice === []) {
            return null;
        }
        $lines = array_values(array_unique(array_merge(...array_values($twice)), SORT_REGULAR));
        $names = implode(' and ', array_map(static fn (Line $line): string => $line->name(), $lines));

        return $this->answer(Verdict::Clash, [$host, ...$lines], fn (): Words => new Words(
            "{$names} both want ".implode(', ', array_keys($twice))." of {$host->name()}.",
            array_map(
                fn (string $pin, array $both): WorkingLine => $this->text(
                    $pin,
                    implode(', ', array_map(static fn (Line $line): string => $line->name(), $both)),
                ),
                array_keys($twice),
                $twice,
            ),
            'one pin, one use',
            array_map(fn (Line $line): Remedy => $this->swap($line, "Take something that uses other pins, or USB, for {$line->name()}"), $lines),
        ), 'taken');
    }

    /**
     * A named pin has to be able to do one of the things it is taken for.
     *
     * @param  list<Line>  $needing
     */
    private function cannot(Line $host, Pins $pins, array $needing): ?Finding
    {
        foreach ($needing as $line) {
            $needs = $line->part->pinNeeds;
            foreach ($needs->takes ?? [] as $pin) {
                $does = $pins->does[$pin] ?? null;
                if ($needs !== null && $does !== null && $needs->wants !== [] && array_intersect(
                    array_keys($needs->wants),
                    $does,
                ) === [] && ! in_array($pin, $needs->shares, true)
                    && ! (in_array('gpio', $does, true) && array_diff(array_keys($needs->wants), ['audio', 'i2s', 'adc']) !== [])) {
                    return $this->answer(Verdict::Clash, [$host, $line], fn (): Words => new Words(
                        "Pin {$pin} of {$host->name()} cannot do what {$line->name()} wants of it (".implode(', ', array_keys($needs->wants)).').',
                        [$this->text($pin, implode(', ', $does)), $this->text("{$line->name()} wants", implode(', ', array_keys($needs->wants)))],
                        'the wrong pin',
                        [Remedy::byHand('Move it to a pin that can: the board\'s own drawing names them.'), $this->swap($line)],
                    ), "{$line->id}/cannot");
                }
            }
        }

        return null;
    }
}
