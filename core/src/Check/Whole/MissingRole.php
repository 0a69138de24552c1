<?php

declare(strict_types=1);

namespace PocketPlot\Check\Whole;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;

final class MissingRole extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('whole.missing-role', 'Nothing that every console needs is forgotten.');
    }

    /** Roles without which nothing plays. Cells are asked for apart: a wall supply will do, too. */
    private const NEEDED = [Role::Board, Role::Display, Role::Controls, Role::Case_];

    protected function ofWhole(Facts $facts): iterable
    {
        if ($facts->lines() === []) {
            yield $this->answer(Verdict::Missing, [], fn (): Words => new Words(
                'The parts list is empty; nothing can be said yet.',
                [],
                'nothing to compare',
                [
                    Remedy::add(Role::Board, 'Begin with the board'),
                ]), 'empty');

            return;
        }
        $missing = array_values(array_filter(self::NEEDED, fn (Role $role): bool => $facts->filling($role) === [] && ! $this->isWithin($role, $facts)));
        foreach ($missing as $role) {
            yield $this->lacking($role->value, $role);
        }
        if ($facts->filling(Role::Cells) === []
            && array_filter($facts->lines(), static fn (Line $line): bool => $line->part->poweredBy === PoweredBy::Mains) === []) {
            yield $this->lacking('pack or wall supply', Role::Cells);
        } elseif ($missing === []) {
            yield $this->answer(Verdict::Fits, [], fn (): Words => new Words('Board, display, controls, case and power are all there.', [
                new WorkingLine('Lines that count', (float) count($facts->lines()), '', 'worked out'),
            ], 'nothing forgotten'), 'all');
        }
    }

    /** Whether another part brings it: an old handheld its buttons, a phone its own case. */
    private function isWithin(Role $role, Facts $facts): bool
    {
        foreach ($facts->filling(Role::Board) as $board) {
            if ($role === Role::Controls && ($board->part->controls->players ?? 0) > 0) {
                return true;
            }
            if ($role === Role::Case_ && $board->part->fills(Role::Display) && $board->part->pack !== null) {
                return true;
            }
        }

        return false;
    }

    private function lacking(string $what, Role $role): Finding
    {
        [$there, $add] = $role === Role::Controls ? ['There are no controls', 'Add controls'] : ["There is no {$what}", "Add a {$what}"];

        return $this->answer(Verdict::Missing, [], fn (): Words => new Words("{$there} in the parts list.", [
            new WorkingLine(ucfirst($what), 'none', '', 'worked out'),
        ], 'one is needed', [
            Remedy::add($role, $add),
        ]), $role->value);
    }
}
