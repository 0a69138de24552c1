<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** Steps that wait for each other. One of the links had to give way, so that there is a plan all the same. */
final readonly class Circle
{
    /** @param  non-empty-list<Link>  $links  each leading to where the next begins, the last to where the first does */
    private function __construct(public array $links, public Link $broken) {}

    /** @return list<Link> those that the builder can let go of */
    public function canGiveWay(): array
    {
        return array_values(array_filter($this->links, static fn (Link $link): bool => $link->kind->canGiveWay()));
    }

    /**
     * @param  list<string>  $steps  ids
     * @param  list<Link>  $links
     * @return ?self the shortest circle; null when there is none
     */
    public static function shortest(array $steps, array $links): ?self
    {
        $from = [];
        $waits = array_fill_keys($steps, 0);
        foreach ($links as $link) {
            $from[$link->from][] = $link;
            $waits[$link->to] = ($waits[$link->to] ?? 0) + 1;
        }
        $ready = array_keys(array_filter($waits, static fn (int $count): bool => $count === 0));
        while ($ready !== []) {
            $id = array_pop($ready);
            unset($waits[$id]);
            foreach ($from[$id] ?? [] as $link) {
                if (--$waits[$link->to] === 0) {
                    $ready[] = $link->to;
                }
            }
        }
        $best = null;
        foreach (array_keys($waits) as $start) {
            $found = self::through((string) $start, $from, $waits, $best === null ? PHP_INT_MAX : count($best));
            $best = $found ?? $best;
        }

        return $best === null || $best === [] ? null : new self($best, self::softest($best));
    }

    /**
     * @param  array<string, list<Link>>  $from
     * @param  array<string, int>  $left  steps that are in a circle, or behind one
     * @return ?list<Link> the shortest way back to where it starts, when shorter than this
     */
    private static function through(string $start, array $from, array $left, int $shorterThan): ?array
    {
        $ways = [$start => []];
        $open = [$start];
        while ($open !== []) {
            $id = array_shift($open);
            if (count($ways[$id]) + 1 >= $shorterThan) {
                return null;
            }
            foreach ($from[$id] ?? [] as $link) {
                if ($link->to === $start) {
                    return [...$ways[$id], $link];
                }
                if (isset($left[$link->to]) && ! isset($ways[$link->to])) {
                    $ways[$link->to] = [...$ways[$id], $link];
                    $open[] = $link->to;
                }
            }
        }

        return null;
    }

    /** @param  non-empty-list<Link>  $links */
    private static function softest(array $links): Link
    {
        foreach ([LinkKind::Own, LinkKind::Reach, LinkKind::Needs] as $kind) {
            foreach (array_reverse($links) as $link) {
                if ($link->kind === $kind) {
                    return $link;
                }
            }
        }

        return $links[0];
    }
}
