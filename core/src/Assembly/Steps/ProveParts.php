<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Figure;
use PocketPlot\Wiring\Leads;

/** Panels, controls, sound and fans are tried one by one at the started board. */
final class ProveParts implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach (OnTheBench::apart($facts, Role::Display) as $line) {
            yield $this->step($facts, "light/{$line->id}", "Light {$line->name()}", $line, 25,
                'Give it its voltage and a picture from the board. A dark panel without a signal proves nothing.',
                Gate::of(Measure::yes('picture', 'The whole picture, no line, no spot'),
                    Measure::milliamps(
                        'bright',
                        'Milliamps at full brightness',
                        $line->part->supply->drawMa ?? Figure::unknown('mA'),
                        $line->id,
                        MeteredState::Heavy,
                    )));
        }
        foreach (OnTheBench::apart($facts, Role::Controls) as $line) {
            yield $this->step($facts, "press/{$line->id}", "Try every control of {$line->name()}", $line, 20,
                'Press, push and turn each one and see that the board hears it. Write the map of contacts down.',
                Gate::of(Measure::yes('all', 'Each control is heard, and none by itself')));
        }
        foreach (OnTheBench::apart($facts, Role::Sound) as $line) {
            yield $this->step($facts, "hear/{$line->id}", "Hear {$line->name()}", $line, 10,
                'Play something soft, then loud. Crackling under load means the supply sags.',
                Gate::of(Measure::yes('clean', 'Clean, soft and loud, on every channel')));
        }
        foreach (OnTheBench::fans($facts) as $line) {
            yield $this->step($facts, "spin/{$line->id}", "Let {$line->name()} turn", $line, 10,
                'From its own voltage. Feel which way the air goes, and draw the arrow on it.',
                Gate::of(Measure::yes('turns', 'It starts by itself and does not grind')));
        }
    }

    private function step(Facts $facts, string $id, string $title, Line $line, int $minutes, string $says, Gate $gate): Step
    {
        $boards = $facts->filling(Role::Board);

        return new Step(
            $id, Phase::Prove, $title, $says, [$line, ...$boards, ...self::withIt($facts, $line)], Minutes::about($minutes),
            $line->part->supply === null ? Setup::Hands : Setup::Meter,
            $line->part->cautions, $gate,
            needs: [
                ...Condition::each(Milestone::Started, OnTheBench::ids(...$boards)),
                Condition::of(Milestone::Lined, $line->id), Condition::of(Milestone::Swept, $line->id), Condition::of(Milestone::Paired, $line->id),
                Condition::of(Milestone::Charged, $line->id), Condition::of(Milestone::Unpacked, $line->id), ...OnTheBench::feederReady($facts, $line),
            ],
            gives: [Condition::of(Milestone::Proven, $line->id)],
            tools: $line->part->supply === null ? [] : ['multimeter'],
        );
    }

    /** @return list<Line> the leads that its power and its picture come by, and an amplifier for a bare loudspeaker */
    private static function withIt(Facts $facts, Line $line): array
    {
        $with = [];
        foreach ($facts->feeds() as $feed) {
            $lead = $feed->line->id === $line->id ? $facts->leadOf($feed) : null;
            $with = $lead === null ? $with : [...$with, $lead];
        }

        foreach ($line->part->panel === null ? [] : $line->part->sockets as $socket) {
            foreach ($facts->board()->part->sockets ?? [] as $other) {
                if ($socket->takes() && $other->gives() && $socket->carries !== 'usb' && $socket->carries !== 'power') {
                    array_push($with, ...(Leads::between($facts->with('cable'), $other, $socket) ?? []));
                }
            }
        }

        return $line->part->speaker === null || $line->part->amp !== null ? $with : [...$with, ...$facts->with('amp')];
    }
}
