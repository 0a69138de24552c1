<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Wiring\Leads;

final class VideoPath extends LineRule
{
    /** Signals that make a picture. */
    public const SIGNALS = ['hdmi', 'dsi', 'spi-panel', 'composite', 'parallel-rgb', 'edp'];

    private const MOST_ADAPTERS = 2;

    public static function meta(): Meta
    {
        return new Meta(
            'video.path',
            'A picture can travel from the board to every display, through the leads and at most two adapters of the parts list.',
            ['sockets'],
        );
    }

    /** @var list<Line> */
    private array $leads = [];

    /** @var list<Line> lines that take one picture signal and give another */
    private array $adapters = [];

    protected function lines(Facts $facts): iterable
    {
        return $facts->filling(Role::Display);
    }

    protected function ofLine(Line $display, Facts $facts): iterable
    {
        $this->leads = $facts->with('cable');
        $this->adapters = array_values(array_filter($facts->lines(), self::isAdapter(...)));
        $boards = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->fills(Role::Board)));
        if ($boards === [] || in_array($display, $boards, true)) {
            return;
        }
        $board = self::boardFor($display, $boards, $facts);
        $gives = self::pictureSockets($board->part, static fn (Socket $socket): bool => $socket->gives());
        $takes = self::pictureSockets($display->part, static fn (Socket $socket): bool => $socket->takes());
        $working = [self::list("{$board->name()} gives", $gives), self::list("{$display->name()} takes", $takes)];
        if ($takes === []) {
            yield $this->unmeasured($display, 'sockets', [$board], [$working[0]]);

            return;
        }
        if ($gives === []) {
            yield $this->unmeasured($board, 'sockets', [$display], [$working[1]], $display->id);

            return;
        }
        $route = $this->route($gives, $takes);
        if ($route !== null) {
            $names = array_map(static fn (Line $line): string => $line->name(), $route);
            yield $this->answer(Verdict::Fits, [$display, $board, ...$route],
                fn (): Words => new Words(
                    $names === []
                        ? "{$display->name()} plugs straight into {$board->name()}."
                        : "{$display->name()} gets its picture from {$board->name()} through ".implode(' and ', $names).'.',
                    $working,
                    'a way was found',
                ));

            return;
        }
        $shared = array_values(
            array_intersect(array_map(static fn (Socket $s): string => $s->carries, $gives), array_map(static fn (Socket $s): string => $s->carries, $takes)),
        );
        yield $this->noWay($display, $board, $gives, $takes, $shared, $working);
    }

    /**
     * @param  non-empty-list<Socket>  $gives
     * @param  non-empty-list<Socket>  $takes
     * @param  list<string>  $shared  signals that both know
     * @param  list<WorkingLine>  $working
     */
    private function noWay(Line $display, Line $board, array $gives, array $takes, array $shared, array $working): Finding
    {
        $unsaid = $shared === [] ? null : self::unsaid($gives, $takes, $shared[0]);
        if ($unsaid !== null) {
            return $this->unmeasured(
                $unsaid === $takes ? $display : $board,
                'sockets',
                [$display, $board],
                $working,
                'ends',
                'nobody can say whether the picture lead goes in',
            );
        }
        // A lead of which one end goes in was bought wrong; none at all is not bought yet.
        $half = $shared === [] ? null : $this->halfLead($gives, $takes, $shared[0]);

        return $this->answer($shared === [] || $half !== null ? Verdict::Clash : Verdict::Missing, [$display, $board],
            fn (): Words => new Words($shared === []
                ? "{$board->name()} gives ".self::signals($gives)."; {$display->name()} takes ".self::signals($takes).', and nothing between them translates.'
                : sprintf(
                    'Both know %s, but %s goes from %s (%s) to %s (%s).',
                    $shared[0],
                    $half === null ? 'no lead in the parts list' : "{$half->name()} fits one of them only; none",
                    $board->name(),
                    self::connectorFor($gives, $shared[0]),
                    $display->name(),
                    self::connectorFor($takes, $shared[0]),
                ), $working, $shared === [] ? 'no signal in common' : 'the lead is missing', [
                    Remedy::add(Role::Cable, 'Add a lead or an adapter'),
                    ...($half === null ? [] : [$this->swap($half, 'Take a lead with both ends right')]),
                    // Nobody buys another board for want of a lead.
                    ...($shared === [] ? [
                        Remedy::swap($display->id, $display->role, 'Take a display that the board can feed'),
                        Remedy::swap($board->id, $board->role, 'Take a board that can feed the display'),
                    ] : []),
                ]));
    }

    /** Takes one picture signal and gives another, and is neither computer nor display. */
    private static function isAdapter(Line $line): bool
    {
        $part = $line->part;
        if ($part->software !== null || $part->panel !== null || $part->fills(Role::Board)) {
            return false;
        }
        $takes = self::pictureSockets($part, static fn (Socket $socket): bool => $socket->takes());
        $gives = self::pictureSockets($part, static fn (Socket $socket): bool => $socket->gives());

        return $takes !== [] && ($line->role === Role::Cable || $gives !== []);
    }

    /**
     * The side of which the builder wrote down more than one kind of socket, not knowing which it is.
     *
     * @param  list<Socket>  $gives
     * @param  list<Socket>  $takes
     * @return list<Socket>|null
     */
    private static function unsaid(array $gives, array $takes, string $signal): ?array
    {
        foreach ([$gives, $takes] as $sockets) {
            foreach ($sockets as $socket) {
                if ($socket->carries === $signal && str_starts_with($socket->connector, 'other:')) {
                    return $sockets;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<Socket>  $gives
     * @param  list<Socket>  $takes
     */
    private function halfLead(array $gives, array $takes, string $signal): ?Line
    {
        foreach ($this->leads as $lead) {
            foreach ([...$gives, ...$takes] as $socket) {
                if ($socket->carries === $signal && $lead->part->cable?->leadsFrom($socket->connector, $signal) !== null) {
                    return $lead;
                }
            }
        }

        return null;
    }

    /**
     * The board that the builder joined to this display, else the first.
     *
     * @param  non-empty-list<Line>  $boards
     */
    private static function boardFor(Line $display, array $boards, Facts $facts): Line
    {
        foreach ($facts->joins() as $join) {
            foreach ($join->kind === JoinKind::Video && $join->to === $display->id ? $boards : [] as $board) {
                if ($board->id === $join->from) {
                    return $board;
                }
            }
        }

        return $boards[0];
    }

    /**
     * Breadth first over leads and adapters.
     *
     * @param  list<Socket>  $gives
     * @param  list<Socket>  $takes
     * @return list<Line>|null the lines on the shortest way; null when there is none
     */
    private function route(array $gives, array $takes): ?array
    {
        /** @var list<array{Socket, list<Line>, int}> $queue */
        $queue = array_map(static fn (Socket $socket): array => [$socket, [], 0], $gives);
        while ($queue !== []) {
            [$at, $used, $adapters] = array_shift($queue);
            foreach ($takes as $socket) {
                $lead = Leads::between($this->leads, $at, $socket, $used);
                if ($lead !== null) {
                    return [...$used, ...$lead];
                }
            }
            if ($adapters >= self::MOST_ADAPTERS) {
                continue;
            }
            foreach ($this->adapters as $line) {
                if (in_array($line, $used, true)) {
                    continue;
                }
                foreach (self::pictureSockets($line->part, static fn (Socket $s): bool => $s->takes()) as $in) {
                    $lead = Leads::between($this->leads, $at, $in, $used);
                    if ($lead === null) {
                        continue;
                    }
                    foreach (self::pictureSockets($line->part, static fn (Socket $s): bool => $s->gives()) as $out) {
                        $queue[] = [$out, [...$used, ...$lead, $line], $adapters + 1];
                    }
                }
            }
        }

        return null;
    }

    /**
     * @param  callable(Socket): bool  $want
     * @return list<Socket>
     */
    private static function pictureSockets(Part $part, callable $want): array
    {
        return array_values(
            array_filter($part->sockets, static fn (Socket $socket): bool => in_array($socket->carries, self::SIGNALS, true) && $want($socket)),
        );
    }

    /** @param  list<Socket>  $sockets */
    private static function list(string $label, array $sockets): WorkingLine
    {
        return new WorkingLine(
            $label,
            $sockets === [] ? null : implode(', ', array_map(static fn (Socket $s): string => "{$s->carries} at {$s->connector}", $sockets)),
            '',
            $sockets === [] ? 'unknown' : 'datasheet',
        );
    }

    /** @param  list<Socket>  $sockets */
    private static function connectorFor(array $sockets, string $signal): string
    {
        foreach ($sockets as $socket) {
            if ($socket->carries === $signal) {
                return $socket->connector;
            }
        }

        return '';
    }

    /** @param  list<Socket>  $sockets */
    private static function signals(array $sockets): string
    {
        return implode(' or ', array_unique(array_map(static fn (Socket $socket): string => $socket->carries, $sockets)));
    }
}
