<?php

declare(strict_types=1);

namespace PocketPlot\Check\People;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class Wires extends WholeRule
{
    /** Either joins a wire to a part that has no socket, and each has its tool. */
    private const JOINS = ['soldering' => 'soldering iron', 'crimping' => 'crimping tool'];

    public static function meta(): Meta
    {
        return new Meta('people.wires', 'Somebody can join the wires that are written down, and has what it takes.', ['skills', 'tools']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $skills = $facts->brief()->skills;
        if ($skills === null || array_intersect($skills, [...array_keys(self::JOINS), 'fine soldering']) !== []) {
            return;
        }
        $ends = self::bareEnds($facts);
        if ($ends === []) {
            return;
        }
        $tools = $facts->brief()->tools;
        $lacksTools = $tools !== null && array_intersect(self::JOINS, [...$tools, ...Consumables::onList($facts)]) === [];
        yield $this->answer(
            $lacksTools ? Verdict::Clash : Verdict::Tight,
            $ends,
            static fn (): Words => new Words(
                sprintf(
                    'The wires between %s are soldered or crimped; %s.',
                    Phrase::all(array_map(static fn (Line $line): string => $line->name(), $ends)),
                    $lacksTools ? 'neither is ticked in the brief, nor a tool for it' : 'neither is ticked in the brief',
                ),
                [new WorkingLine('You can', $skills === [] ? 'nothing ticked yet' : implode(', ', $skills), '', 'brief')],
                'can be learned or asked of a friend',
                [
                    Remedy::brief('Tick soldering or crimping in the brief, if you can or somebody does it for you'),
                    ...($lacksTools ? [Remedy::add(Role::Tool, 'Put a soldering iron on the parts list')] : []),
                    Remedy::byHand('Take parts with sockets, and leads that only plug in.'),
                ],
            ),
            'wires', true,
        );
    }

    /** @return list<Line> the ends of wires, with their gauge written down, that go into no socket */
    private static function bareEnds(Facts $facts): array
    {
        $ends = [];
        foreach ($facts->feeds() as $feed) {
            $from = $feed->join === null || $feed->join->gaugeAwg === null ? null : $facts->line($feed->join->from);
            if ($from !== null && $facts->socketsOf($feed) === [null, null]) {
                $ends[$from->id] = $from;
                $ends[$feed->line->id] = $feed->line;
            }
        }

        return array_values($ends);
    }
}
