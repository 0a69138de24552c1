<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Role;

final class CellProtection extends LineRule
{
    /** Chemistries that can burn when shorted or emptied too far. */
    private const NEEDING = ['Li-ion', 'LiPo', 'LiFePO4'];

    public static function meta(): Meta
    {
        return new Meta(
            'power.cell-protection',
            'Each lithium pack has one protection that is known to exist: its own, a board\'s or a charger\'s.',
            ['pack.protection'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return array_filter($facts->with('pack'), static fn (Line $line): bool => ! $line->part->livesFromOwnCell());
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        if ($pack === null || ! in_array($pack->chemistry, self::NEEDING, true)) {
            return;
        }
        $working = [
            new WorkingLine(
                "{$line->name()}, own protection",
                $pack->protection->value,
                '',
                $pack->protection === Protection::Unknown ? 'unknown' : 'datasheet',
            ),
        ];
        if ($pack->protection === Protection::BuiltIn) {
            yield $this->answer(Verdict::Fits, [$line], fn (): Words => new Words("{$line->name()} has its own protection.", $working));

            return;
        }
        $guard = $facts->protectorOf($line);
        if ($guard !== null) {
            yield $this->answer(Verdict::Fits, [$line, $guard], fn (): Words => new Words("{$guard->name()} protects {$line->name()}.", [
                ...$working, new WorkingLine($guard->name(), 'cuts off for '.$pack->series.'S', '', 'datasheet'),
            ]));

            return;
        }
        if ($pack->protection === Protection::Unknown) {
            yield $this->unmeasured($line, 'pack.protection', [], $working, '', 'it must not be trusted');

            return;
        }
        $board = $facts->silentGuardOf($line);
        if ($board !== null) {
            yield $this->unmeasured($board, 'protector.cutOffV', [$line], $working, $line->id, "nobody can say whether it protects {$line->name()}");

            return;
        }
        yield $this->answer(Verdict::Missing, [$line],
            fn (): Words => new Words(
                "{$line->name()} has no protection and nothing in the parts list cuts it off. A shorted or over-emptied lithium cell can burn.",
                $working,
                'one known protection is wanted',
                [
                    Remedy::add(Role::Regulator, 'Add a protection board for it'),
                    Remedy::swap($line->id, $line->role, 'Take a protected pack'),
                ]));
    }
}
