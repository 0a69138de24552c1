<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Pack;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Number;

/**
 * Steps out of the parts: prove everything on the bench, make the body, wire and mount, close.
 * Tests stand before what they guard. Minutes are our estimates for an unhurried evening.
 */
final class StepPlanner
{
    private const CELLS = 'Lithium cells can burn. Never short them, never charge them unwatched, keep metal off the bench; follow the maker\'s instructions and local rules, and leave a doubtful pack to a qualified person.';

    private const IRON = 'Hot iron and fumes: stand the iron in its rest, open a window or run an extractor, wash your hands after.';

    private const DUST = 'Clamp the work, wear eye protection and a dust mask, and sand or cut away from electronics.';

    private const MAINS = 'Use only the closed, approved supply it came with. Leave anything inside a mains-powered box to a qualified person.';

    /** @return list<Step> in the order in which they are done */
    public static function plan(Facts $facts): array
    {
        if ($facts->lines() === []) {
            return [];
        }

        return [...self::prove($facts), ...self::body($facts), ...self::wire($facts), ...self::close($facts)];
    }

    /** @return list<Step> */
    private static function prove(Facts $facts): array
    {
        $steps = [];
        $boards = $facts->filling(Role::Board);
        foreach ($facts->lines() as $line) {
            if ($line->part->pack !== null) {
                $steps[] = new Step("charge/{$line->id}", Phase::Prove, "Charge {$line->name()}", 'Charge it full before the first power-on, on a surface that does not burn, and stay with it.', [$line, ...self::chargers($facts, $line)], 20, [self::CELLS, ...$line->part->cautions]);
                $steps[] = self::meterPack($line, $line->part->pack);
            }
        }
        foreach ($facts->lines() as $line) {
            if ($line->part->poweredBy === PoweredBy::Mains) {
                $steps[] = new Step("meter/{$line->id}", Phase::Prove, "Meter {$line->name()}", 'With nothing connected: '.self::outputs($line).' and the plus where the plug\'s drawing says.', [$line], 5, [self::MAINS], true);
            } elseif ($line->part->isConverter()) {
                $steps[] = new Step("set/{$line->id}", Phase::Prove, "Set and meter {$line->name()}", 'Feed it from a current-limited bench supply, set it, and meter before anything hangs on it: '.self::outputs($line).'.', [$line], 15, $line->part->cautions, true);
            }
        }
        foreach ($boards as $line) {
            $cards = array_values(array_filter($facts->lines(), static fn (Line $other): bool => $other->part->storage !== null && $other->id !== $line->id));
            if ($line->part->software !== null) {
                $steps[] = new Step("image/{$line->id}", Phase::Prove, "Write the image for {$line->name()}", 'Write it, read it back, and label the card. Use only game files that you have the right to use.', [$line, ...$cards], 30);
            }
            $steps[] = new Step("first/{$line->id}", Phase::Prove, "First start of {$line->name()}", 'Start it alone, unmodified, before any cutting or soldering. Write down the idle current.', [$line, ...$cards], 20, ['Touch something earthed first; a spark from a sleeve is enough for a board.', ...$line->part->cautions], true);
        }
        foreach ($facts->filling(Role::Display) as $line) {
            if (! in_array($line, $boards, true)) {
                $steps[] = new Step("light/{$line->id}", Phase::Prove, "Light {$line->name()}", 'Give it its voltage and a picture from the board. A dark panel without a signal proves nothing. Write down the current, dim and bright.', [$line, ...$boards], 25, $line->part->cautions, true);
            }
        }
        foreach ($facts->filling(Role::Controls) as $line) {
            if (! in_array($line, $boards, true)) {
                $steps[] = new Step("press/{$line->id}", Phase::Prove, "Try every control of {$line->name()}", 'Press, push and turn each one and see that the board hears it. Write the map of contacts down.', [$line, ...$boards], 20, $line->part->cautions, true);
            }
        }
        foreach ($facts->filling(Role::Sound) as $line) {
            if (! in_array($line, $boards, true)) {
                $steps[] = new Step("hear/{$line->id}", Phase::Prove, "Hear {$line->name()}", 'Play something soft, then loud. Crackling under load means the supply sags.', [$line, ...$boards], 10, $line->part->cautions, true);
            }
        }
        $packs = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->pack !== null));
        if ($packs !== [] && $boards !== []) {
            $electric = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->supply !== null || $line->part->pack !== null));
            $steps[] = new Step('heap', Phase::Prove, 'Run the whole heap from the pack', 'Everything together, on the table. Meter the pack\'s current idle and at the worst load; plug and unplug the charger while it runs.', $electric, 40, [self::CELLS], true);
        }

        return $steps;
    }

    /** @return list<Step> */
    private static function body(Facts $facts): array
    {
        $line = $facts->bodyLine();
        if ($line === null) {
            return [];
        }
        $inside = $facts->inBody();
        $steps = [];
        if ($line->part->body?->drawn === true) {
            $steps[] = new Step("print/{$line->id}", Phase::Body, "Draw and make {$line->name()}", 'Draw it around the parts, try one grip first, change it, then make the whole.', [$line, ...$inside], 180, [self::DUST, ...$line->part->cautions]);
        }
        $steps[] = new Step("dry/{$line->id}", Phase::Body, 'Fit everything dry', 'Push the real parts around until hands, cells, controls and sockets agree. No control over a cell; leave room for switches and wires.', [$line, ...$inside], 40, [], true);
        if ($line->part->body?->cuttable === true) {
            $steps[] = new Step("cut/{$line->id}", Phase::Body, "Cut and drill {$line->name()}", 'Openings for panel, controls, sockets and air. Cut with nothing inside; deburr.', [$line], 90, [self::DUST], false, 'wood or plastic that is gone does not come back');
        }
        $bare = array_values(array_filter($inside, static fn (Line $other): bool => $other->role === Role::Board || $other->role === Role::Regulator || $other->role === Role::Charger));
        if ($bare !== []) {
            $steps[] = new Step('insulate', Phase::Body, 'Keep bare boards off metal', 'Tape, card or posts under each bare board, and over each screw head it could touch.', [$line, ...$bare], 15);
        }

        return $steps;
    }

    /** @return list<Step> */
    private static function wire(Facts $facts): array
    {
        $steps = [];
        foreach ($facts->lines() as $line) {
            if ($line->part->pack !== null && ! $line->part->pack->sealed) {
                $steps[] = new Step("fuse/{$line->id}", Phase::Wire, "Fuse and switch at {$line->name()}", 'A fuse close to the pack\'s plus, then the switch. Leave the pack unplugged until the last test.', [$line, ...$facts->filling(Role::Switch_)], 25, [self::CELLS, self::IRON]);
            }
        }
        foreach ($facts->supplyTree()->rails as $rail) {
            if ($rail->loads === []) {
                continue;
            }
            $names = implode(', ', array_map(static fn (Line $line): string => $line->name(), $rail->loads));
            $steps[] = new Step("rail/{$rail->id}", Phase::Wire, "Wire {$rail->says()} to {$names}", "Meter {$rail->volts->says()} at the far end before each plug goes in; mind plus and minus.", [$rail->line, ...$rail->loads], 10 + 10 * count($rail->loads), [self::IRON]);
        }
        foreach ($facts->inBody() as $line) {
            if (in_array($line->role, [Role::Board, Role::Display, Role::Controls, Role::Cooling], true)) {
                $steps[] = new Step("mount/{$line->id}", Phase::Wire, "Mount {$line->name()}", $line->role === Role::Display ? 'Ribbon through its slot before the cover. No pressure on the glass.' : 'Screws finger-tight, then a quarter turn: an over-tightened screw splits its post.', [$line], 20);
            }
        }
        foreach ($facts->lines() as $line) {
            if ($line->role === Role::Material || $line->role === Role::Fastener) {
                $steps[] = new Step("use/{$line->id}", Phase::Wire, "Lay out {$line->name()}", $line->part->summary === '' ? 'Have it on the bench before you start.' : $line->part->summary, [$line], 5, $line->part->cautions);
            }
        }

        return $steps;
    }

    /** @return list<Step> */
    private static function close(Facts $facts): array
    {
        $all = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->role !== Role::Tool));
        $steps = [new Step('test-open', Phase::Close, 'Test before closing', 'Picture, sound, every control, charging. Nothing warm that should not be. Move the wires and see that nothing flickers.', $all, 25, [], true)];
        $body = $facts->bodyLine();
        if ($body !== null) {
            $steps[] = new Step("close/{$body->id}", Phase::Close, "Close {$body->name()}", 'No wire between the halves, none under tension. Count the screws.', [$body], 15);
        }
        $steps[] = new Step('test-closed', Phase::Close, 'Test after closing', 'The same again, then an hour of play with a hand on the warmest spot.', $all, 70, [], true);

        return $steps;
    }

    private static function meterPack(Line $line, Pack $pack): Step
    {
        $volts = $pack->volts();
        $says = $pack->sealed || ! $volts->isKnown()
            ? 'Meter its output before anything hangs on it.'
            : sprintf('Full it shows up to %s V, empty %s V. Far below that, or warm, or swollen: do not use it.', Number::says($volts->most()), Number::says($volts->least()));

        return new Step("meter/{$line->id}", Phase::Prove, "Meter {$line->name()}", $says, [$line], 5, [self::CELLS], true);
    }

    /** @return list<Line> */
    private static function chargers(Facts $facts, Line $pack): array
    {
        return array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->charger !== null && $line->id !== $pack->id));
    }

    private static function outputs(Line $line): string
    {
        return implode(', ', array_map(static fn ($output): string => "{$output->name} {$output->volts->says()}", $line->part->outputs));
    }
}
