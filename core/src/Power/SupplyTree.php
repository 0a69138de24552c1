<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Part\Topology;
use PocketPlot\Quantity\Figure;

/**
 * Who feeds whom. Joins that the builder settled stand; for every other line that wants feeding
 * the rail is proposed whose volts lie closest to the line's window, the most direct one first.
 */
final class SupplyTree
{
    /** A rail names no more unknown figures below it: a long chain of rails would name each at every link. */
    private const MOST_MISSING = 100;

    /** @var array<string, Rail> by rail id */
    public readonly array $rails;

    /** @var array<string, Feed> by Feed::key() */
    public readonly array $feeds;

    /** @var list<Line> lines that want feeding and for which there is no rail at all */
    public readonly array $unfed;

    /** @var list<Line> lines whose settled join would feed them from themselves */
    public readonly array $inCircles;

    /** @var list<Join> settled joins that cannot be, since a part was swapped */
    public readonly array $impossible;

    /** @var array<string, array{line: Line, output: ?Output, name: string, volts: Figure, usb: bool}> */
    private array $givers = [];

    /** @var list<non-empty-list<string>>|null */
    private ?array $alike = null;

    /** @var array<string, int> rail id => its place among the rails */
    private array $places = [];

    /** @var array<string, Rail> rails worked out so far */
    private array $worked = [];

    /** @var array<string, Feed> */
    private array $found = [];

    /** @var array<string, list<Feed>> */
    private array $feedsOf = [];

    /** @var array<string, list<Feed>> by the fed line's id */
    private array $feedsInto = [];

    /** Whether there is a pack or bank to play from: then the wall only charges. */
    private readonly bool $isPortable;

    /** @var array<string, float> milliamps that an output has to give already, by rail id */
    private array $promised = [];

    public function __construct(private readonly Build $build)
    {
        $lines = $build->chosen();
        foreach ($lines as $line) {
            if ($line->part->pack !== null && ! $line->part->pack->sealed) {
                $this->givers["{$line->id}:pack"] = [
                    'line' => $line,
                    'output' => null,
                    'name' => 'pack',
                    'volts' => CutOff::of($build, $line, $line->part->pack)->from($line->part->pack->volts()),
                    'usb' => $line->part->givesUsb,
                ];
            }
            foreach ($line->part->outputs as $output) {
                $this->givers["{$line->id}:{$output->name}"] = [
                    'line' => $line,
                    'output' => $output,
                    'name' => $output->name,
                    'volts' => $output->volts,
                    'usb' => $line->part->givesUsb,
                ];
            }
        }
        $this->isPortable = array_filter($lines, static fn (Line $line): bool => $line->part->pack !== null && ! $line->part->livesFromOwnCell()) !== [];
        [$this->inCircles, $this->impossible] = $this->takeSettled();
        $this->unfed = $this->propose($lines);
        $this->feeds = $this->found;
        foreach ($this->found as $feed) {
            $this->feedsOf[$feed->railId][] = $feed;
            $this->feedsInto[$feed->line->id][] = $feed;
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

    /** @return list<Rail> rails that this line gives */
    public function railsOf(Line $line): array
    {
        return array_values(array_filter($this->rails, static fn (Rail $rail): bool => $rail->line->id === $line->id));
    }

    /** @return list<Line> lines from which others live: packs, banks and wall supplies that feed something */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->rails as $rail) {
            if ($rail->loads !== [] && ($rail->line->part->pack !== null || $rail->line->part->poweredBy === PoweredBy::Mains)) {
                $sources[$rail->line->id] = $rail->line;
            }
        }

        return array_values($sources);
    }

    /**
     * Watts taken out of a line that is a source of its own (a pack, a bank, a wall supply): its raw rail
     * and its outputs with their losses.
     *
     * @return array{Figure, Figure, list<Missing>} idle to heavy, all peaks at once, and what is missing to know them
     */
    public function wattsFrom(Line $source): array
    {
        $watts = $peak = Figure::exactly(0.0, 'W');
        $missing = [];
        foreach ($this->rails as $rail) {
            // What a phone gives at its socket is counted with what it takes from its own cell.
            if ($rail->line->id !== $source->id || (! $rail->isRawPack && $source->part->livesFromOwnCell())) {
                continue;
            }
            $output = $this->givers[$rail->id]['output'];
            // What a wall supply loses stays in its own box, outside.
            $loses = $output !== null && $source->part->pack !== null;
            $missing = [...$missing, ...$rail->missing, ...($loses ? self::missingEfficiency($rail, $output) : [])];
            $watts = $watts->plus($loses ? $this->withLoss($rail->watts, $output) : $rail->watts);
            $peak = $peak->plus($loses ? $this->withLoss($rail->peakWatts, $output) : $rail->peakWatts);
        }

        return [$watts, $peak, $missing];
    }

    /** @return list<Feed> what feeds this line, its main input first */
    public function feedsInto(Line $line): array
    {
        return $this->feedsInto[$line->id] ?? [];
    }

    /** @return list<Feed> */
    public function feedsFrom(Rail $rail): array
    {
        return $this->feedsOf[$rail->id] ?? [];
    }

    public function outputOf(Rail $rail): ?Output
    {
        return $this->givers[$rail->id]['output'];
    }

    /** @return array{list<Line>, list<Join>} */
    private function takeSettled(): array
    {
        $circles = $impossible = [];
        foreach ($this->build->joins as $join) {
            $load = $this->build->line($join->to);
            $from = $this->build->line($join->from);
            if ($join->kind !== JoinKind::Power || $load === null || ! $load->chosen || $from === null || ! $from->chosen) {
                continue;
            }
            $rail = $this->giverFor($join->from, $join->output);
            $input = self::inputFor($load, $join->input);
            $isLike = false;
            if ($rail === null && $input !== null) {
                // The part behind a join was swapped: another output that gives what is wanted takes the place of the one that is gone.
                $rail = $this->likeFor($join->from, $input);
                $isLike = true;
            }
            if ($rail === null || $input === null) {
                $impossible[] = $join;
            } elseif ($this->isFedBy($rail, $load->id)) {
                $circles[] = $load;
            } else {
                $feed = new Feed(
                    $load,
                    $input,
                    $rail,
                    $join,
                    $isLike ? "settled by you; there is no \"{$join->output}\" any more, this output gives what is wanted" : 'settled by you',
                );
                $this->found[$feed->key()] = $feed;
            }
        }

        return [$circles, $impossible];
    }

    private static function inputFor(Line $line, string $name): ?SupplyInput
    {
        foreach ($line->part->supplies as $input) {
            if ($name === '' || $input->name === $name) {
                return $input;
            }
        }

        return null;
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

    /** An output of this line whose volts lie in the window; null when there is none. */
    private function likeFor(string $lineId, SupplyInput $input): ?string
    {
        foreach ($this->givers as $id => $giver) {
            if ($giver['line']->id === $lineId && $giver['volts']->isKnown() && $input->volts->isKnown() && self::shortfall($input, $giver['volts']) <= 0.0) {
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
        $wanting = array_filter($lines, static fn (Line $line): bool => $line->part->supplies !== []);
        // Converters first: what they are fed by decides what may be fed by them.
        usort($wanting, static fn (Line $a, Line $b): int => self::turn($a) <=> self::turn($b));
        $unfed = [];
        foreach ($wanting as $line) {
            if ($line->part->livesFromOwnCell() && $line->part->supply !== null) {
                $feed = new Feed($line, $line->part->supply, "{$line->id}:pack", null, 'it has its own cell');
                $this->found[$feed->key()] ??= $feed;
            }
            // The sender of a charging coil stands on the table, at the wall.
            if ($line->part->coil?->side === 'sender' && $line->part->pack === null) {
                continue;
            }
            foreach (self::needs($line) as $key => $inputs) {
                if (isset($this->found[$key])) {
                    continue;
                }
                $feed = $this->best($line, $inputs);
                if ($feed === null) {
                    $unfed[$line->id] = $line;
                } else {
                    $this->found[$key] = $feed;
                    $this->promised[$feed->railId] = ($this->promised[$feed->railId] ?? 0.0) + self::peakMa(
                        $feed->input,
                        $this->givers[$feed->railId]['volts'],
                        $line->quantity,
                    );
                }
            }
        }

        return array_values($unfed);
    }

    /** @return array<string, non-empty-list<SupplyInput>> feed key => the inputs of which one has to be fed */
    private static function needs(Line $line): array
    {
        $needs = [];
        foreach ($line->part->supplies as $input) {
            $needs[Feed::keyOf($line, $input)][] = $input;
        }

        return $needs;
    }

    /** @param  non-empty-list<SupplyInput>  $inputs */
    private function best(Line $line, array $inputs): ?Feed
    {
        $best = null;
        $takesUsb = $line->part->takesUsb;
        $below = [];
        foreach ($this->alike() as $ids) {
            $giver = $this->givers[$ids[0]];
            if ($this->isPortable && $giver['line']->part->poweredBy === PoweredBy::Mains
                && $line->part->charger === null && $line->part->pack === null) {
                // A supply that is only there when plugged in feeds nothing in play, and never stands in to look well.
                continue;
            }
            if ($giver['line']->part->livesFromOwnCell() && $giver['output'] === null) {
                // Nobody solders to the cell of a phone.
                continue;
            }
            $rank = self::rank($line, $takesUsb, $giver['line'], $giver['output'] === null, $giver['usb']);
            if ($rank === null) {
                continue;
            }
            // What is plugged in stays plugged in, though nobody knows the volts yet.
            $isPlugged = $rank === 0 && ! $giver['volts']->isKnown();
            [$least, $input] = [INF, $inputs[0]];
            foreach ($inputs as $one) {
                $shortfall = $isPlugged ? 0.0 : self::shortfall($one, $giver['volts']);
                if ($shortfall < $least) {
                    [$least, $input] = [$shortfall, $one];
                }
            }
            if ($best !== null && $least > $best[0][0]) {
                continue;
            }
            $needMa = self::peakMa($input, $giver['volts'], $line->quantity);
            foreach ($ids as $id) {
                $isTooMuch = $this->isTooMuch($id, $needMa) ? 1 : 0;
                $place = [$least, $isTooMuch, $rank, $this->places[$id]];
                if ($best !== null && $place > [...$best[0], $this->places[$best[1]]]) {
                    continue;
                }
                if (! $this->isFedBy($id, $line->id, $below)) {
                    $best = [[$least, $isTooMuch, $rank], $id, $input];
                    break;
                }
            }
        }

        return $best === null
            ? null
            : new Feed($line, $best[2], $best[1], null, $best[0][0] === 0.0 ? 'its volts lie in the window' : 'the nearest rail there is');
    }

    /** Whether an output would have to give more than it can: a board's small pin does not carry an amplifier. */
    private function isTooMuch(string $railId, float $needMa): bool
    {
        $giver = $this->givers[$railId];
        $gives = $giver['output']?->continuousMa;
        if ($gives === null || ! $gives->isKnown()) {
            return false;
        }
        $peak = max($gives->least(), $giver['output']->peakMa->least ?? 0.0) * $giver['line']->quantity;

        return ($this->promised[$railId] ?? 0.0) + $needMa > $peak;
    }

    private static function peakMa(SupplyInput $input, Figure $volts, int $quantity): float
    {
        $watts = max($input->peakWatts()->most ?? 0.0, $input->watts()->most ?? 0.0) * $quantity;

        return $volts->isKnown() && $volts->least() > 0.0 ? $watts / $volts->least() * 1000 : 0.0;
    }

    /** Whether this feed comes from the wall alone, though there is a pack to play from. */
    public function isFedByWallOnly(Feed $feed): bool
    {
        if (! $this->isPortable || $feed->line->part->charger !== null || $feed->line->part->livesFromOwnCell()) {
            return false;
        }
        for ($steps = 0; $steps < self::MOST_MISSING; $steps++) {
            $giver = $this->givers[$feed->railId]['line'];
            if ($giver->part->pack !== null || $giver->part->charger !== null) {
                return false;
            }
            if ($giver->part->poweredBy === PoweredBy::Mains) {
                return true;
            }
            $above = $this->found[$giver->id] ?? null;
            if ($above === null) {
                return false;
            }
            $feed = $above;
        }

        return false;
    }

    /**
     * Rails that rank and suit alike, whatever is fed: many of one kind are weighed once.
     *
     * @return list<non-empty-list<string>> rail ids, in the order of the lines
     */
    private function alike(): array
    {
        if ($this->alike === null) {
            $groups = [];
            foreach ($this->givers as $id => $giver) {
                $part = $giver['line']->part;
                $kind = [
                    $part->poweredBy,
                    $giver['usb'],
                    $giver['output'] === null,
                    $part->pack !== null,
                    $part->isConverter(),
                    $giver['volts']->least,
                    $giver['volts']->most,
                    $part->livesFromOwnCell(),
                ];
                $this->places[$id] = count($this->places);
                $groups[serialize($kind)][] = $id;
            }
            $this->alike = array_values($groups);
        }

        return $this->alike;
    }

    private static function turn(Line $line): int
    {
        return match (true) {
            $line->part->isConverter() => 0,
            $line->part->outputs !== [] => 1,
            default => 2,
        };
    }

    /** How direct a rail is for this line, lowest first; null when it may not feed it. */
    private static function rank(Line $line, bool $takesUsb, Line $giverLine, bool $isRaw, bool $givesUsb): ?int
    {
        $giver = $giverLine->part;
        if ($giver->poweredBy === PoweredBy::Sun) {
            return null;
        }
        $isConverter = $line->part->isConverter();

        return match (true) {
            $takesUsb && $givesUsb && ! $isConverter => 0,
            $isRaw => $isConverter ? 1 : 4,
            $giver->pack !== null => 2,
            $giver->poweredBy === PoweredBy::Mains => $isConverter ? 3 : 5,
            $giver->isConverter() => $isConverter ? 4 : 1,
            $line->role === Role::Board => 6,
            default => 3,
        };
    }

    /** Volts by which the rail leaves the window; a little for what is not known, so that known rails come first. */
    private static function shortfall(SupplyInput $input, Figure $volts): float
    {
        $window = $input->volts;
        if ($window->least === null || $window->most === null || $volts->least === null || $volts->most === null) {
            return 0.001;
        }

        return round(max(0.0, $window->least - $volts->least) + max(0.0, $volts->most - $window->most), 6);
    }

    /**
     * Whether a rail is fed, at however many removes, by the line.
     *
     * @param  array<string, bool>  $known  by rail id, what was found out on earlier walks for the same line
     */
    private function isFedBy(string $railId, string $lineId, array &$known = []): bool
    {
        $walked = [];
        $answer = null;
        while ($answer === null) {
            if (isset($known[$railId]) || isset($walked[$railId])) {
                // A rail that comes by again is fed in a circle.
                $answer = $known[$railId] ?? true;
                break;
            }
            $walked[$railId] = true;
            $giver = $this->givers[$railId]['line'];
            $feed = $giver->part->pack === null ? ($this->found[$giver->id] ?? null) : null;
            $answer = $giver->id === $lineId ? true : ($feed === null ? false : null);
            $railId = $feed->railId ?? $railId;
        }
        $known += array_fill_keys(array_keys($walked), $answer);

        return $answer;
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
        $loads = [];
        foreach ($this->feedsOf[$id] ?? [] as $feed) {
            $loads[$feed->line->id] = $feed->line;
            [$itsWatts, $itsPeak, $itsMissing] = $this->demandOf($feed);
            $watts = $watts->plus($itsWatts);
            $peak = $peak->plus($itsPeak);
            $missing = array_slice([...$missing, ...$itsMissing], 0, self::MOST_MISSING);
        }
        $pack = $line->part->pack;
        $limit = ($output === null ? $pack?->maxDischargeMa : $output->continuousMa) ?? Figure::unknown('mA');
        $limit = $limit->times($line->quantity);

        return new Rail(
            $id, $line, $name, $output === null, $this->givers[$id]['volts'],
            $limit,
            $output === null ? $limit : $output->peakMa->times($line->quantity),
            array_values($loads), $watts, $peak, $missing,
        );
    }

    /** @return array{Figure, Figure, list<Missing>} usual watts, peak watts, and what is missing to know them */
    public function demandOf(Feed $feed): array
    {
        $load = $feed->line;
        $supply = $feed->input;
        $own = $supply->watts();
        $passesOn = $feed->key() === $load->id && $load->part->passesPowerOn();
        $missing = [];
        if ($load->part->isConverter() && ! $supply->drawMa->isKnown()) {
            // A converter's own idle draw is in its efficiency where it is not given apart.
            $own = $peak = Figure::exactly(0.0, 'W');
        } else {
            $peak = $supply->peakWatts();
            if (! $own->isKnown()) {
                $missing[] = new Missing($load, FigureRef::supply($supply, $supply->drawMa->isKnown() ? 'drawAtV' : 'drawMa'));
            } elseif (! $peak->isKnown()) {
                $missing[] = new Missing($load, FigureRef::supply($supply, 'peakMa'));
            }
        }
        $own = $own->times($load->quantity);
        $peak = $peak->times($load->quantity);
        if ($passesOn) {
            foreach ($load->part->outputs as $output) {
                $below = $this->rail("{$load->id}:{$output->name}");
                $output = $this->withLinear($output, $feed->railId);
                $missing = [...$missing, ...$below->missing, ...self::missingEfficiency($below, $output)];
                $own = $own->plus($this->withLoss($below->watts, $output));
                $peak = $peak->plus($this->withLoss($below->peakWatts, $output));
            }
        }

        return [$own, $peak, $missing];
    }

    /** A linear regulator passes the current on, so that its efficiency is that of the volts. */
    private function withLinear(Output $output, string $fedBy): Output
    {
        $in = $this->givers[$fedBy]['volts'];
        $isOpen = $output->topology === Topology::Linear && ! $output->efficiency->isKnown();
        if (! $isOpen || ! $in->isKnown() || ! $output->volts->isKnown() || $in->least() <= 0.0) {
            return $output;
        }
        $share = static fn (float $out, float $volts): float => min(1.0, $out / $volts);

        return $output->with(
            Figure::band(
                $share($output->volts->least(), $in->most()),
                $share($output->volts->usual(), $in->usual()),
                $share($output->volts->most(), $in->least()),
                '',
            ), $output->dropoutV, $output->continuousMa,
        );
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
            $watts->source->with($efficiency->source),
        );
    }

    /** @return list<Missing> the output's efficiency, where something is taken from it and nobody knows it */
    private static function missingEfficiency(Rail $rail, ?Output $output): array
    {
        $matters = $output !== null && $rail->loads !== [];

        return $matters && (! $output->efficiency->isKnown() || $output->efficiency->least() <= 0.0)
            ? [new Missing($rail->line, FigureRef::of('output', 'efficiency', $rail->name))]
            : [];
    }
}
