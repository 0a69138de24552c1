<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Quantity\Figure;

/**
 * The supply tree as it is drawn: sources, rails and fed inputs, each with volts, amps and watts in every
 * state of play, half charged. Figures that nobody knows are null; the shape stands all the same.
 *
 * @phpstan-type Values array{volts: float, amps: float, watts: float, lost: float}
 * @phpstan-type Node array{id: string, parent: ?string, kind: string, line: string, name: string, says: string, holds: bool, values: array<string, ?Values>}
 */
final class TreeView
{
    private const STATES = [PlayState::Idle, PlayState::Usual, PlayState::Heavy];

    /** @var array<string, array{Flow, float, float}|null> by state: where the watts go, volts and amps at the source */
    private array $flows = [];

    /** @var list<Node> */
    private array $nodes = [];

    private function __construct(private readonly SupplyTree $tree, private readonly ?Circuit $circuit)
    {
        foreach (self::STATES as $state) {
            $this->flows[$state->says()] = $this->flowIn($state);
        }
    }

    /** @return list<Node> parents before children */
    public static function of(SupplyTree $tree, Line $source, Build $build, ?Circuit $circuit): array
    {
        $view = new self($tree, $circuit);
        $view->addSource($source, $build);

        return $view->nodes;
    }

    /** @return array{Flow, float, float}|null */
    private function flowIn(PlayState $state): ?array
    {
        if ($this->circuit === null) {
            return null;
        }
        try {
            [$rest, $ohm] = $this->circuit->cells === []
                ? [1.0, 0.0]
                : OperatingPoint::together($this->circuit, array_fill(0, count($this->circuit->cells), 0.5));
            [$volts, $amps] = $this->circuit->balance($rest, $ohm, $state->value);

            return [$this->circuit->flow($volts, $state->value), $volts, $amps];
        } catch (NoBalance) {
            return null;
        }
    }

    private function addSource(Line $source, Build $build): void
    {
        $isPack = $source->part->pack !== null;
        $says = implode(', ', array_map(static fn (Line $line): string => $line->name(), self::inTheLead($source, $build)));
        $this->nodes[] = [
            'id' => $source->id,
            'parent' => null,
            'kind' => 'source',
            'line' => $source->id,
            'name' => $source->name(),
            'says' => $says,
            'holds' => true,
            'values' => $this->values(
                static fn (array $flow): ?array => $isPack ? ['volts' => $flow[1], 'amps' => $flow[2], 'watts' => $flow[1] * $flow[2], 'lost' => 0.0] : null,
            )];
        foreach ($this->tree->railsOf($source) as $rail) {
            if ($rail->loads === []) {
                continue;
            }
            if ($rail->isRawPack) {
                $this->addFeeds($rail, $source->id);
            } else {
                $this->addRail($rail, $source->id);
            }
        }
    }

    private function addRail(Rail $rail, string $parent): void
    {
        $flow = $this->flows['usual'];
        $this->nodes[] = [
            'id' => $rail->id,
            'parent' => $parent,
            'kind' => 'rail',
            'line' => $rail->line->id,
            'name' => $rail->name,
            'says' => $rail->volts->says(),
            'holds' => $flow === null || ($flow[0]->rails[$rail->id]['holds'] ?? true),
            'values' => $this->circuit === null ? self::stated(
                $rail->volts,
                $rail->watts,
                $rail->missing === []) : $this->values(static function (array $flow) use ($rail): ?array {
                    $one = $flow[0]->rails[$rail->id] ?? null;

                    return $one === null ? null : ['volts' => $one['volts'], 'amps' => $one['amps'], 'watts' => $one['watts'], 'lost' => $one['lost']];
                })];
        $this->addFeeds($rail, $rail->id);
    }

    private function addFeeds(Rail $rail, string $parent): void
    {
        foreach ($this->tree->feedsFrom($rail) as $feed) {
            $key = $feed->key();
            $line = $feed->line;
            [$watts, , $missing] = $this->tree->demandOf($feed);
            $times = $line->quantity > 1 ? "{$line->quantity} × " : '';
            $this->nodes[] = [
                'id' => "feed {$key}",
                'parent' => $parent,
                'kind' => $line->part->isConverter() ? 'converter' : 'load',
                'line' => $line->id,
                'name' => $times.$line->name(),
                'says' => $feed->input->name,
                'holds' => true,
                'values' => $this->circuit === null ? self::stated(
                    $rail->volts,
                    $watts,
                    $missing === []) : $this->values(static function (array $flow) use ($key): ?array {
                        $one = $flow[0]->feeds[$key] ?? null;

                        return $one === null ? null : [...$one, 'lost' => 0.0];
                    })];
            if ($key === $line->id && $line->part->pack === null && $line->part->poweredBy === PoweredBy::ItsOwn) {
                foreach ($this->tree->railsOf($line) as $below) {
                    if ($below->loads !== []) {
                        $this->addRail($below, "feed {$key}");
                    }
                }
            }
        }
    }

    /**
     * @param  callable(array{Flow, float, float}): ?Values  $read
     * @return array<string, ?Values>
     */
    private function values(callable $read): array
    {
        return array_map(static function (?array $flow) use ($read): ?array {
            $values = $flow === null ? null : $read($flow);

            return $values === null ? null : array_map(static fn (float $value): float => round($value, 4), $values);
        }, $this->flows);
    }

    /**
     * What can be said by the sheets alone, where some other figure keeps the whole from being reckoned.
     *
     * @return array<string, ?Values>
     */
    private static function stated(Figure $volts, Figure $watts, bool $isKnown): array
    {
        $at = $volts->isKnown() && $volts->usual() > 0.0 ? $volts->usual() : null;
        $one = static fn (?float $value): ?array => ! $isKnown || $value === null || $at === null ? null
            : ['volts' => round($at, 4), 'amps' => round($value / $at, 4), 'watts' => round($value, 4), 'lost' => 0.0];

        return ['idle' => $one($watts->least), 'usual' => $one($watts->usual), 'heavy' => $one($watts->most)];
    }

    /** @return list<Line> switches, fuses and protection that sit in the pack's lead */
    private static function inTheLead(Line $source, Build $build): array
    {
        $pack = $source->part->pack;
        $guard = $pack === null ? null : $build->protectorOf($pack);

        return $pack === null || $pack->sealed ? [] : array_values(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->fuse !== null
            || $line->part->switch?->carriesPower === true || $line === $guard));
    }
}
