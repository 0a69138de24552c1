<?php

declare(strict_types=1);

namespace PocketPlot\Check\People;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class Consumables extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('people.consumables', 'Solder, tape and the like that the parts ask for are at hand or on the list.', ['consumables']);
    }

    /** @return list<string> what is at hand, or on the list */
    public static function there(Facts $facts): array
    {
        return [...$facts->brief()->consumables ?? [], ...self::onList($facts)];
    }

    /** @return list<string> what lines of the list serve as: consumables and tools */
    public static function onList(Facts $facts): array
    {
        return array_merge(...array_map(static fn (Line $line): array => $line->part->work->serves, $facts->with('serves')));
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('consumables');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $there = self::there($facts);
        $wanted = $line->part->work->asked($facts->brief()->mustHaves)->consumables;
        $lacking = array_values(array_diff($wanted, $there));
        if ($wanted === []) {
            return;
        }
        $working = [
            $this->text("{$line->name()} asks for", implode(', ', $wanted)),
            $this->text('At hand or on the list', implode(', ', array_intersect($wanted, $there)) ?: 'none of them', 'brief'),
        ];
        yield $lacking === []
            ? $this->answer(Verdict::Fits, [$line], fn (): Words => new Words("What {$line->name()} asks for is at hand.", $working, 'nothing lacks'))
            : $this->answer(Verdict::Tight, [$line], fn (): Words => new Words("{$line->name()} asks for "
                .Phrase::all($lacking)
                .', which '.(count($lacking) === 1 ? 'is' : 'are').' neither at hand nor on the list.', $working, 'cheap, but an evening is lost without it', [
                    Remedy::add(Role::Material, 'Put it on the list'), Remedy::brief('Tick it in the brief, if it is in the drawer'),
                ]));
    }
}
