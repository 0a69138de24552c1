<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\GamesClass;
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
use PocketPlot\Part\Controls;
use PocketPlot\Part\Role;

final class Coverage extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('control.coverage', 'Each class of games in the brief finds the controls it needs, for every player.', ['controls']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        foreach ($facts->brief()->games as $index => $games) {
            $finding = $this->judge($games, $facts, (string) $index);
            if ($finding !== null) {
                yield $finding;
            }
        }
    }

    private function judge(GamesClass $games, Facts $facts, string $about): ?Finding
    {
        $lines = array_values(
            array_filter($facts->lines(), static fn (Line $line): bool => $line->part->controls !== null || $line->part->fills(Role::Controls)),
        );
        if ($lines === []) {
            // whole.missing-role says so already.
            return null;
        }
        foreach ($lines as $line) {
            if ($line->part->controls === null) {
                return $this->unmeasured($line, 'controls', [], [], $about);
            }
        }
        $touch = array_filter($facts->lines(), static fn (Line $line): bool => $line->part->panel?->touch === true) !== [];
        [$sets, $players] = $this->sets($lines, $games, $touch);
        $each = $this->poorest(array_slice($sets, 0, $games->players));
        [$working, $lacking] = self::compared($games, $each, $players);
        if ($lacking === []) {
            return $this->answer(
                Verdict::Fits,
                $lines,
                fn (): Words => new Words(ucfirst(Phrase::games($games->class)).' find every control they need.', $working, 'nothing lacks'),
                $about,
            );
        }

        return $this->answer(Verdict::Clash, $lines, fn (): Words => new Words(
            ucfirst(Phrase::games($games->class)).' need '.implode('; ', $lacking).'.',
            $working,
            'too few',
            [
                Remedy::add(Role::Controls, 'Add what is lacking'),
                ...array_map(static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take other controls for {$line->name()}"), $lines),
                ...($games->touch
                    ? array_map(static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, 'Take a touch panel'), $facts->filling(Role::Display))
                    : []),
            ]), $about);
    }

    /**
     * What each player would hold, the richest hands first. A set for one player is one pair of hands;
     * loose controls built into the body are one more pair, and for a single player they add to the set.
     *
     * @param  non-empty-list<Line>  $lines
     * @return array{list<Controls>, int} no more sets of one kind than there are players, and how many players find a set in all
     */
    private function sets(array $lines, GamesClass $games, bool $touch): array
    {
        $loose = new Controls(1, 0, 0, 0, 0, $touch);
        $hasLoose = false;
        $sets = [];
        $players = 0;
        foreach ($lines as $line) {
            $controls = $line->part->controls;
            if ($controls === null) {
                continue;
            }
            if ($controls->players === 0) {
                $hasLoose = true;
                $loose = $loose->together($controls->times($line->quantity));

                continue;
            }
            $pieces = $line->quantity * $controls->players;
            $players += $pieces;
            $set = $touch ? $controls->together(new Controls(1, 0, 0, 0, 0, true)) : $controls;
            array_push($sets, ...array_fill(0, min($pieces, max(1, $games->players)), $set));
        }
        $wealth = static fn (Controls $set): int => min($set->dPads, $games->dPads)
            + min($set->buttons, $games->buttons)
            + min($set->sticks, $games->sticks)
            + min($set->knobs, $games->knobs);
        usort($sets, static fn (Controls $a, Controls $b): int => $wealth($b) <=> $wealth($a));
        if ($games->players === 1) {
            return [[$sets === [] ? $loose : $sets[0]->together($loose)], 1];
        }
        if ($hasLoose) {
            $sets[] = $loose;
            $players++;
            usort($sets, static fn (Controls $a, Controls $b): int => $wealth($b) <=> $wealth($a));
        }

        return [$sets, max(1, $players)];
    }

    /** @param  list<Controls>  $sets */
    private function poorest(array $sets): Controls
    {
        $poorest = array_shift($sets) ?? new Controls(0, 0, 0, 0, 0, false);
        foreach ($sets as $set) {
            $poorest = new Controls(
                1,
                min($poorest->dPads, $set->dPads),
                min($poorest->buttons, $set->buttons),
                min($poorest->sticks, $set->sticks),
                min($poorest->knobs, $set->knobs),
                $poorest->touch && $set->touch,
                min($poorest->triggers, $set->triggers),
            );
        }

        return $poorest;
    }

    /** @return array{list<WorkingLine>, list<string>} the working, and what there is too little of */
    private static function compared(GamesClass $games, Controls $each, int $players): array
    {
        $working = $lacking = [];
        $asked = [
            'players' => [$games->players, $players],
            'd-pads' => [$games->dPads, $each->dPads],
            'buttons' => [$games->buttons, $each->buttons],
            'sticks' => [$games->sticks, $each->sticks],
            'knobs' => [$games->knobs, $each->knobs],
            'triggers' => [$games->triggers, $each->triggers],
        ];
        foreach ($asked as $what => [$need, $have]) {
            if ($need === 0) {
                continue;
            }
            $working[] = new WorkingLine("{$what} needed", (float) $need, '', 'brief');
            $working[] = new WorkingLine("{$what} there", (float) $have, '', 'datasheet');
            if ($have < $need) {
                $apiece = $what !== 'players' && ($each->players > 1 || $games->players > 1) ? ' for each player' : '';
                $lacking[] = ($what === 'players' ? "controls for {$need} players" : Phrase::count($need, $what).$apiece)
                    .', and find '.($have === 0 ? 'none' : $have);
            }
        }
        if ($games->touch) {
            $working[] = new WorkingLine('touch needed', 'yes', '', 'brief');
            $working[] = new WorkingLine('touch there', $each->touch ? 'yes' : 'no', '', 'datasheet');
            if (! $each->touch) {
                $lacking[] = 'a touch panel';
            }
        }

        return [$working, $lacking];
    }
}
