<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Output;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Figure;

/**
 * Who feeds whom. Joins that the builder settled stand; for every other line that wants feeding
 * the rail is proposed whose volts lie closest to the line's window, the most direct one first.
 */
final class SupplyTree
{
    /** @var array<string, Rail> by rail id */
    public readonly array $rails;

    /** @var array<string, Feed> by the fed line's id */
    public readonly array $feeds;

    /** @var list<Line> lines that want feeding and for which there is no rail at all */
    public readonly array $unfed;

    /** @var list<Line> lines whose settled join would feed them from themselves */
    public readonly array $inCircles;

    /** @var array<string, array{line: Line, output: ?Output, name: string, volts: Figure, usb: bool}> */
    private array $givers = [];

    /** @var array<string, Rail> rails worked out so far */
    private array $worked = [];

    /** @var array<string, Feed> */
    private array $found = [];

    /** @var array<string, list<Line>> */
    private array $loadsOf = [];

    public function __construct(private readonly Build $build)
    {
        $lines = $build->chosen();
        foreach ($lines as $line) {
            if ($line->part->pack !== null && ! $line->part->pack->sealed) {
                $this->givers["{$line->id}:pack"] = ['line' => $line, 'output' => null, 'name' => 'pack', 'volts' => $line->part->pack->volts(), 'usb' => self::usb($line, true)];
            }
            foreach ($line->part->outputs as $output) {
                $this->givers["{$line->id}:{$output->name}"] = ['line' => $line, 'output' => $output, 'name' => $output->name, 'volts' => $output->volts, 'usb' => self::usb($line, true)];
            }
        }
        $this->inCircles = $this->takeSettled();
        $this->unfed = $this->propose($lines);
        $this->feeds = $this->found;
        foreach ($this->found as $feed) {
            $this->loadsOf[$feed->railId][] = $feed->line;
        }
        $rails = [];
        foreach (array_keys($this->givers) as $id) {
            $rails[$id] = $this->rail($id);
        }
        $this->rails = $rails;
    }

    public function railOf(Line $line): ?Rail
    {
        $feed = $this->feeds[$line->id] ?? null;

        return $feed === null ? null : $this->rails[$feed->railId];
    }

    /** @return list<Rail> rails that live on this line's own pack */
    public function railsOfPack(Line $pack): array
    {
        return array_values(array_filter($this->rails, static fn (Rail $rail): bool => $rail->line->id === $pack->id));
    }

    /**
     * Watts taken out of a line's pack: its raw rail and its outputs with their losses.
     *
     * @return array{Figure, list<Missing>}
     */
    public function wattsFromPack(Line $pack): array
    {
        $watts = Figure::exactly(0.0, 'W');
        $missing = [];
        foreach ($this->railsOfPack($pack) as $rail) {
            $output = $this->givers[$rail->id]['output'];
            $missing = [...$missing, ...$rail->missing, ...self::missingEfficiency($rail, $output)];
            $watts = $watts->plus($output === null ? $rail->watts : $this->withLoss($rail->watts, $output));
        }

        return [$watts, $missing];
    }

    /** @return list<Line> */
    private function takeSettled(): array
    {
        $circles = [];
        foreach ($this->build->joins as $join) {
            $load = $this->build->line($join->to);
            $rail = $this->giverFor($join->from, $join->output);
            if ($join->kind !== 'power' || $load === null || ! $load->chosen || $load->part->supply === null || $rail === null) {
                continue;
            }
            if ($this->livesOn($rail, $load->id)) {
                $circles[] = $load;
            } else {
                $this->found[$load->id] = new Feed($load, $rail, true, 'settled by you');
            }
        }

        return $circles;
    }

    private function giverFor(string $lineId, string $output): ?string
    {
        foreach ($this->givers as $id => $giver) {
            if ($giver['line']->id === $lineId && ($output === '' || $giver['name'] === $output)) {
                return $id;
            }
        }

        return null;
    }

    /**
     * @param  list<Line>  $lines
     * @return list<Line> those left without any rail
     */
    private function propose(array $lines): array
    {
        $wanting = array_filter($lines, fn (Line $line): bool => $line->part->supply !== null && ! isset($this->found[$line->id]));
        // Converters first: what they are fed by decides what may be fed by them.
        usort($wanting, static fn (Line $a, Line $b): int => self::turn($a) <=> self::turn($b));
        $unfed = [];
        foreach ($wanting as $line) {
            $best = null;
            $takesUsb = self::usb($line, false);
            foreach ($this->givers as $id => $giver) {
                $rank = self::rank($line, $takesUsb, $giver['line'], $giver['output'] === null, $giver['usb']);
                if ($rank === null) {
                    continue;
                }
                $score = [self::shortfall($line, $giver['volts']), $rank];
                if (($best === null || $score < $best[0]) && ! $this->livesOn($id, $line->id)) {
                    $best = [$score, $id];
                }
            }
            if ($best === null) {
                $unfed[] = $line;

                continue;
            }
            $reason = $best[0][0] === 0.0 ? 'its volts lie in the window' : 'the nearest rail there is';
            $this->found[$line->id] = new Feed($line, $best[1], false, $reason);
        }

        return $unfed;
    }

    private static function turn(Line $line): int
    {
        return match (true) {
            $line->part->isConverter() => 0,
            $line->part->outputs !== [] => 1,
            default => 2,
        };
    }

    /** Whether a line's part gives, or takes, USB. */
    private static function usb(Line $line, bool $given): bool
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->carries === 'usb' && ($given ? $socket->gives() : $socket->direction === 'in')) {
                return true;
            }
        }

        return false;
    }

    /** How direct a rail is for this line, lowest first; null when it may not feed it. */
    private static function rank(Line $line, bool $takesUsb, Line $giverLine, bool $isRaw, bool $givesUsb): ?int
    {
        $giver = $giverLine->part;
        if ($giver->livesOn === 'sun') {
            return null;
        }
        $isConverter = $line->part->isConverter();

        return match (true) {
            $takesUsb && $givesUsb && ! $isConverter => 0,
            $isRaw => $isConverter ? 1 : 4,
            $giver->pack !== null => 2,
            $giver->livesOn === 'mains' => $isConverter ? 3 : 5,
            $giver->isConverter() => $isConverter ? 4 : 1,
            $line->role === Role::Board => 6,
            default => 3,
        };
    }

    /** Volts by which the rail leaves the window; a little for what is not known, so that known rails come first. */
    private static function shortfall(Line $line, Figure $volts): float
    {
        $window = $line->part->supply->volts ?? Figure::unknown('V');
        if ($window->least === null || $window->most === null || $volts->least === null || $volts->most === null) {
            return 0.001;
        }

        return round(max(0.0, $window->least - $volts->least) + max(0.0, $volts->most - $window->most), 6);
    }

    /** Whether a rail is fed, at however many removes, by the line. */
    private function livesOn(string $railId, string $lineId): bool
    {
        for ($steps = 0; $steps <= count($this->givers); $steps++) {
            $giver = $this->givers[$railId]['line'];
            if ($giver->id === $lineId) {
                return true;
            }
            $feed = $giver->part->pack === null ? ($this->found[$giver->id] ?? null) : null;
            if ($feed === null) {
                return false;
            }
            $railId = $feed->railId;
        }

        return true;
    }

    private function rail(string $id): Rail
    {
        return $this->worked[$id] ??= $this->workOut($id);
    }

    private function workOut(string $id): Rail
    {
        ['line' => $line, 'output' => $output, 'name' => $name] = $this->givers[$id];
        $watts = $peak = Figure::exactly(0.0, 'W');
        $missing = [];
        foreach ($this->loadsOf[$id] ?? [] as $load) {
            [$itsWatts, $itsPeak, $itsMissing] = $this->demandOf($load);
            $watts = $watts->plus($itsWatts);
            $peak = $peak->plus($itsPeak);
            $missing = [...$missing, ...$itsMissing];
        }
        $pack = $line->part->pack;
        $limit = ($output === null ? $pack?->maxDischargeMa : $output->continuousMa) ?? Figure::unknown('mA');
        $limit = $limit->times($line->quantity);

        return new Rail(
            $id, $line, $name, $output === null, $this->givers[$id]['volts'],
            $limit,
            $output === null ? $limit : $output->peakMa->times($line->quantity),
            $this->loadsOf[$id] ?? [], $watts, $peak, $missing,
        );
    }

    /** @return array{Figure, Figure, list<Missing>} usual watts, peak watts, and what is missing to know them */
    private function demandOf(Line $load): array
    {
        $supply = $load->part->supply;
        if ($supply === null) {
            return [Figure::exactly(0.0, 'W'), Figure::exactly(0.0, 'W'), []];
        }
        $own = $supply->watts();
        $passesOn = $load->part->outputs !== [] && $load->part->pack === null && $load->part->livesOn === '';
        $missing = [];
        if ($load->part->isConverter() && ! $supply->drawMa->isKnown()) {
            // A converter's own idle draw is in its efficiency where it is not given apart.
            $own = $peak = Figure::exactly(0.0, 'W');
        } else {
            $peak = $supply->peakWatts();
            if (! $own->isKnown()) {
                $missing[] = new Missing($load, $supply->drawAtV->isKnown() ? 'supply.drawMa' : 'supply.drawAtV');
            } elseif (! $peak->isKnown()) {
                $missing[] = new Missing($load, 'supply.peakMa');
            }
        }
        $own = $own->times($load->quantity);
        $peak = $peak->times($load->quantity);
        if ($passesOn) {
            foreach ($load->part->outputs as $output) {
                $below = $this->rail("{$load->id}:{$output->name}");
                $missing = [...$missing, ...$below->missing, ...self::missingEfficiency($below, $output)];
                $own = $own->plus($this->withLoss($below->watts, $output));
                $peak = $peak->plus($this->withLoss($below->peakWatts, $output));
            }
        }

        return [$own, $peak, $missing];
    }

    /** Watts before a converter for these watts behind it: the worst efficiency belongs to the heaviest case. */
    private function withLoss(Figure $watts, Output $output): Figure
    {
        $efficiency = $output->efficiency;
        if (! $watts->isKnown() || $watts->most() <= 0.0) {
            return $watts;
        }
        if (! $efficiency->isKnown() || $efficiency->least() <= 0.0) {
            return Figure::unknown('W');
        }

        return Figure::band(
            $watts->least() / $efficiency->most(),
            $watts->usual() / $efficiency->usual(),
            $watts->most() / $efficiency->least(),
            'W',
        );
    }

    /** @return list<Missing> the output's efficiency, where something is taken from it and nobody knows it */
    private static function missingEfficiency(Rail $rail, ?Output $output): array
    {
        $matters = $output !== null && $rail->loads !== [];

        return $matters && (! $output->efficiency->isKnown() || $output->efficiency->least() <= 0.0) ? [new Missing($rail->line, 'output.efficiency')] : [];
    }
}
