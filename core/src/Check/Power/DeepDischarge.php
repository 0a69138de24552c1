<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Source;

final class DeepDischarge extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.deep-discharge',
            'Something cuts each rechargeable pack off before it is emptied too far, and not long before it is empty.',
            ['pack.cutOffV', 'protector.cutOffV', 'pack.protection', 'pack.volts'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return array_filter($facts->with('pack'), static fn (Line $line): bool => ! $line->part->livesFromOwnCell());
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        // A sealed bank looks after itself; loose cells of a drawer are judged when a pack holds them.
        if ($pack !== null && $pack->isRechargeable() && ! $pack->sealed) {
            yield $this->judge($line, $pack, $facts);
        }
    }

    private function judge(Line $line, Pack $pack, Facts $facts): Finding
    {
        $guard = $facts->protectorOf($line);
        $first = $facts->cutOffOf($line) ?? throw new \LogicException('only packs are judged');
        $working = [$this->row("{$line->name()}, empty to full", $pack->volts())];
        // Nickel and alkaline cells come without any; nobody has to look.
        if ($guard === null && $pack->protection === Protection::Unknown && $pack->isLithium()) {
            return $this->unmeasured($line, 'pack.protection', [], $working, '', 'nobody knows whether anything cuts it off');
        }
        if ($guard === null && $pack->protection !== Protection::BuiltIn) {
            $lithium = $pack->isLithium();
            $board = $facts->silentGuardOf($line);
            if ($lithium && $board !== null) {
                return $this->unmeasured($board, 'protector.cutOffV', [$line], $working, $line->id, "nobody can say whether it cuts {$line->name()} off");
            }

            return $this->answer($lithium ? Verdict::Missing : ($pack->loose ? Verdict::Fits : Verdict::Tight), [$line],
                fn (): Words => new Words($lithium ? "Nothing cuts {$line->name()} off when it is empty; one forgotten switch spoils the cells for good."
                    : "Nothing cuts {$line->name()} off when it is empty; take the cells out when the play gets weak.", $working, 'no cut-off', [
                        Remedy::add(Role::Regulator, 'Add a protection board for it'),
                        $this->swap($line, 'Take a protected pack'),
                    ]));
        }
        $cutOff = $first->volts;
        $by = $first->by ?? $line;
        if (! $cutOff->isKnown()) {
            return $this->unmeasured($by, $first->ref('cutOffV'), $by === $line ? [] : [$line], $working, $by === $line ? 'cut-off' : $line->id);
        }
        if (! $pack->volts()->isKnown()) {
            return $this->unmeasured($line, 'pack.volts', [], $working);
        }
        $floor = (Constants::CELL_FLOOR_V[$pack->chemistry] ?? 0.0) * $pack->series;
        // What is called empty by nobody in particular is no limit; harm begins at the floor.
        $empty = $pack->cellEmptyV->source === Source::Typical ? min($pack->volts()->least(), max($floor, $cutOff->least())) : $pack->volts()->least();
        $working = [
            ...$working,
            $this->row('Cuts off at', $cutOff),
            $this->count("Harm begins at ({$pack->chemistry}, {$pack->series}S)", $floor, 'V', 'datasheet'),
            $this->row('One cell, called empty', $pack->cellEmptyV),
        ];
        [$verdict, $says] = match (true) {
            $cutOff->least() < $floor - 1e-9 => [
                Verdict::Clash,
                "The cut-off at {$cutOff->says()} comes too late for {$line->name()}: cells are harmed below ".self::n($floor).' V.',
            ],
            $cutOff->least() < $empty - 1e-9 => [
                Verdict::Tight,
                "The cut-off at {$cutOff->says()} lies below what {$line->name()} calls empty (".self::n($empty).' V); it ages faster.',
            ],
            $cutOff->most() > $pack->volts()->usual() => [Verdict::Tight, "The cut-off at {$cutOff->says()} comes while {$line->name()} is still half full."],
            default => [Verdict::Fits, "{$line->name()} is cut off at {$cutOff->says()}, before harm is done."],
        };

        return $this->answer($verdict, $by === $line ? [$line] : [$line, $by], fn (): Words => new Words($says, $working, 'harm < empty ≤ cut-off ≤ nominal', [
            ...($by === $line ? [] : [$this->swap($by, 'Take a protection board that cuts off in time')]),
            $this->swap($line, 'Take a pack with a better cut-off'),
        ]));
    }
}
