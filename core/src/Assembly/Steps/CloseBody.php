<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
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
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Figure;

/** The pack last, everything written down and tried open, and only then the screws. */
final class CloseBody implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $inside = $facts->inBody();
        $packs = array_values(array_filter($inside, static fn (Line $line): bool => $line->part->pack !== null && $line->role === Role::Cells));
        foreach ($packs as $line) {
            yield new Step(
                "seat/{$line->id}", Phase::Wire, "Seat {$line->name()}",
                'The last part to go in: no screw, no edge against it, room to swell, its plug within reach. Polarity once more by the meter, then plug it in.',
                [$line], Minutes::about(10), Setup::Meter, [Cautions::CELLS],
                Gate::of(Measure::yes('polarity', 'Plus meets plus at the plug')),
                undoSays: 'unplug it, lift it out',
                needs: [
                    Condition::of(Milestone::Rung), Condition::of(Milestone::Fused, $line->id),
                    Condition::of(Milestone::Charged, $line->id), Condition::of(Milestone::Levelled, $line->id),
                    ...Condition::each(Milestone::Mounted, OnTheBench::ids(...$inside)), Condition::of(Milestone::Joined),
                ],
                gives: [Condition::of(Milestone::Seated, $line->id)],
                reaches: [$line->id],
                tools: ['multimeter'],
                isSafety: true,
            );
        }
        $ready = [
            Condition::of(Milestone::Wired), Condition::of(Milestone::Joined), Condition::of(Milestone::Rung),
            ...Condition::each(Milestone::Mounted, OnTheBench::ids(...$inside)), ...Condition::each(Milestone::Seated, OnTheBench::ids(...$packs)),
        ];
        yield from $this->tests($facts, $ready);
        $body = $facts->bodyLine();
        if ($body !== null) {
            yield new Step(
                "close/{$body->id}", Phase::Close, "Close {$body->name()}",
                'No wire between the halves, none under tension. Count the screws.',
                [$body, ...$facts->filling(Role::Fastener)], Minutes::about(15),
                undoSays: 'take the screws out and lift the half off, slowly: wires go across',
                needs: [
                    Condition::of(Milestone::TestedOpen), Condition::of(Milestone::Photographed), Condition::of(Milestone::Mapped),
                    ...Condition::each(Milestone::ShutDown, OnTheBench::ids(...$facts->filling(Role::Board))),
                ],
                gives: [Condition::of(Milestone::Closed)],
                covers: OnTheBench::ids(...$inside),
                reaches: [$body->id],
                tools: ['small screwdrivers'],
            );
        }
    }

    /**
     * @param  list<Condition>  $ready
     * @return iterable<Step>
     */
    private function tests(Facts $facts, array $ready): iterable
    {
        yield new Step(
            'photo', Phase::Close, 'Label the wires and photograph everything open',
            'Every layer, every plug, with its label readable. In a year this is the map.',
            [], Minutes::about(10),
            needs: $ready,
            gives: [Condition::of(Milestone::Photographed)],
        );
        $all = array_values(array_filter(
            $facts->lines(),
            static fn (Line $line): bool => ! in_array($line->role, [Role::Tool, Role::Material, Role::Fastener], true),
        ));
        yield new Step(
            'test-open', Phase::Close, 'Test before closing',
            'Picture, sound, every control, charging. Nothing warm that should not be. Move the wires and see that nothing flickers.',
            $all, Minutes::about(25), Setup::Meter,
            gate: Gate::of(
                Measure::yes('works', 'Picture, sound and every control work'), Measure::yes('still', 'Nothing flickers when the wires are moved'),
                ...self::volts($facts),
            ),
            needs: [
                ...$ready,
                Condition::of(Milestone::Mapped),
                ...Condition::each(Milestone::Proven, OnTheBench::ids(...OnTheBench::provable($facts))),
                ...Condition::each(Milestone::Started, OnTheBench::ids(...$facts->filling(Role::Board))),
            ],
            gives: [Condition::of(Milestone::TestedOpen)],
            tools: ['multimeter'],
        );
        foreach ($facts->filling(Role::Board) as $board) {
            if ($board->part->software?->needsShutdown === YesNo::Yes) {
                yield new Step(
                    "shutdown/{$board->id}", Phase::Close, "Shut {$board->name()} down safely",
                    'From the menu and by the switch: does it end its work before the power goes? Then a second start, and the saved game is still there.',
                    [$board], Minutes::about(10),
                    gate: Gate::of(Measure::yes('kept', 'The saved game is still there')),
                    needs: [Condition::of(Milestone::TestedOpen)],
                    gives: [Condition::of(Milestone::ShutDown, $board->id)],
                );
            }
        }
    }

    /** @return list<Measure> */
    private static function volts(Facts $facts): array
    {
        $board = $facts->board();
        $window = $board === null ? null : ($board->part->supply->volts ?? Figure::unknown('V'));

        return $board === null || $window === null || $board->part->supply === null ? []
            : [Measure::volts('volts', "Volts at {$board->name()}, at the heaviest game", $window, $board->id)];
    }
}
