<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Gauge;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Protection;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/** What ends a pack's run when nothing else does, and what the load sees when it trips. */
final readonly class TripBehaviour
{
    /** @param  list<string>  $says  one sentence a fact */
    private function __construct(
        public Line $pack,
        /** Who cuts off: the pack itself, a board, or nobody. */
        public ?Line $by,
        public Figure $cutOffV,
        public YesNo $latches,
        /** Volts that the pack recovers to once nothing is taken any more. */
        public ?float $recoversToV,
        /** Seconds from the notice to the end, and those that a shutdown takes. */
        public ?float $warningSeconds,
        public ?float $shutdownSeconds,
        public array $says,
        /** @var list<Missing> */
        public array $open,
    ) {}

    public static function of(Build $build, Line $line, Pack $pack, ?Run $run): self
    {
        $first = CutOff::of($build, $line, $pack);
        [$by, $cutOff, $release, $latches] = [$first->by, $first->volts, $first->recoveryV, $first->latches];
        $open = $says = [];
        $rests = $run === null || $run->end === null ? null : $run->circuit->cells[0]->openCircuitVolts($run->chargeLeft);
        if ($by === null && $pack->protection === Protection::Unknown) {
            $says[] = "Nobody knows whether anything cuts {$line->name()} off. Until it is known, switch off before it is empty.";
            $open[] = new Missing($line, FigureRef::of('pack', 'protection'));
        } elseif ($by === null) {
            $says[] = $pack->isLithium()
                ? "Nothing cuts {$line->name()} off. Emptied below its least volts it is spoiled, and a spoiled lithium cell can burn when it is charged again: do not use it so."
                : "Nothing cuts {$line->name()} off; switch off when the play gets weak.";
        } else {
            $who = $by->id === $line->id ? 'Its own protection' : $by->name();
            $says[] = $cutOff->isKnown()
                ? "{$who} cuts off at {$cutOff->says()}. The volts vanish at once: whatever runs sees its plug pulled."
                : "{$who} cuts off, at volts that nobody knows yet.";
            if ($latches === YesNo::Unknown) {
                $says[] = 'Nobody knows whether it stays off after it has tripped.';
                $open[] = new Missing($by, $first->ref('latches'));
            } elseif ($latches === YesNo::Yes) {
                $says[] = 'It stays off until a charger is plugged in: nothing starts again by itself.';
            } elseif ($rests !== null && $release->isKnown()) {
                $says[] = $rests >= $release->least()
                    ? sprintf(
                        'Left alone the pack recovers to %s V, above its recovery voltage of %s: the console starts, drops out and starts again. Switch off.',
                        Number::says($rests),
                        $release->says(),
                    )
                    : sprintf(
                        'Left alone the pack recovers to %s V, below its recovery voltage of %s: it stays dark until it is charged.',
                        Number::says($rests),
                        $release->says(),
                    );
            } else {
                $says[] = 'It comes back by itself as the pack recovers; the console may start and drop out again. Switch off.';
                $release->isKnown() ?: $open[] = new Missing($by, $first->ref('recoveryV'));
            }
        }
        [$notice, $shutdown, $told] = self::notice($build, $run);

        return new self($line, $by, $cutOff, $latches, $rests, $notice, $shutdown, [...$says, ...$told], $open);
    }

    /** @return array{?float, ?float, list<string>} */
    private static function notice(Build $build, ?Run $run): array
    {
        $board = $shutdown = $gauge = null;
        foreach ($build->chosen() as $line) {
            if ($line->part->software !== null && $line->part->software->needsShutdown === YesNo::Yes) {
                $board = $line;
                $shutdown = $line->part->software->shutdownSeconds->isKnown() ? $line->part->software->shutdownSeconds->most() : null;
            }
            $gauge ??= $line->part->gauge;
        }
        if ($board === null) {
            return [null, null, []];
        }
        $notice = self::seconds($gauge, $run, $board);
        if ($notice === null) {
            return [null, $shutdown, ["Nothing tells {$board->name()} in time; shut it down by hand before the pack is empty."]];
        }
        $from = $gauge !== null && $gauge->warningSeconds->isKnown() ? 'From the low-battery warning' : 'From its own low-voltage warning';
        $long = $notice >= 120 ? Number::says($notice / 60).' min' : Number::says($notice).' s';

        return [$notice, $shutdown, [$shutdown === null
            ? "{$from} to the end {$long} pass; nobody knows how long a shutdown of {$board->name()} takes."
            : sprintf(
                '%s to the end %s pass; a shutdown of %s takes %s s: %s.',
                $from,
                $long,
                $board->name(),
                Number::says($shutdown),
                $notice > $shutdown ? 'time enough' : 'too short',
            )]];
    }

    private static function seconds(?Gauge $gauge, ?Run $run, Line $board): ?float
    {
        if ($gauge !== null) {
            return $gauge->warningSeconds->isKnown() ? $gauge->warningSeconds->least() : null;
        }
        foreach ($run->moments ?? [] as $moment) {
            if ($run !== null && $moment->kind === 'warns' && $moment->line->id === $board->id) {
                return ($run->hours - $moment->hours) * 3600;
            }
        }

        return null;
    }
}
